/** What each crop is called, and what frost does to it: where nothing is said, its leaves burn and its plants are lost. */
export const LEAF_BURN = 'leaf burn';
export const PLANTS_LOST = 'plants lost';
export const notInList = (id: string): string => `${id}, not in the list: reckoned as lettuce`;

export const CROP_WORDS = `
id               | name                     | hurt                   | lost
mache            | mâche                    |                        |
spinach          | spinach                  |                        |
lettuce          | lettuce heads            |                        |
lettuce-leaf     | leaf lettuce             |                        |
lettuce-romaine  | romaine                  |                        |
endive           | endive                   |                        |
escarole         | escarole                 |                        |
radicchio        | radicchio                |                        |
sugarloaf        | sugarloaf chicory        |                        |
claytonia        | claytonia                |                        |
minutina         | buck's-horn plantain     |                        |
purslane         | summer purslane          | chilled                | plants lost
mizuna           | mizuna                   |                        |
rocket           | rocket                   |                        |
wild-rocket      | wild rocket              |                        |
garden-cress     | garden cress             |                        |
land-cress       | land cress               |                        |
mustard-leaf     | mustard leaves           |                        |
tatsoi           | tatsoi                   |                        |
komatsuna        | komatsuna                |                        |
pak-choi         | pak choi                 |                        |
napa-cabbage     | Chinese cabbage          |                        |
chard            | chard                    |                        |
sorrel           | sorrel                   |                        |
kale             | kale                     |                        |
collard          | collards                 |                        |
spring-cabbage   | spring cabbage           |                        |
savoy            | savoy                    |                        |
cauliflower      | cauliflower              |                        |
broccoli         | broccoli                 |                        |
purple-sprouting | purple sprouting         |                        |
kohlrabi         | kohlrabi                 |                        |
radish           | radish                   |                        |
winter-radish    | winter radish            | tops burnt             | roots lost
turnip           | salad turnips            | tops burnt             | roots lost
carrot           | carrots                  | tops burnt, roots safe | plants lost
parsnip          | parsnips                 | tops burnt, roots safe | plants lost
beetroot         | beetroot                 | tops burnt             | roots lost
celeriac         | celeriac                 | tops burnt             | roots lost
celery           | celery                   |                        |
florence-fennel  | bulb fennel              |                        |
spring-onion     | spring onions            |                        |
onion            | overwintered onions      |                        |
leek             | leeks                    |                        |
garlic           | garlic                   |                        |
shallot          | shallots                 |                        |
chives           | chives                   |                        |
pea-shoots       | peas                     |                        |
snap-pea         | snap peas                |                        |
broad-bean       | broad beans              |                        |
french-bean      | French beans             | chilled                | plants lost
climbing-bean    | climbing beans           | chilled                | plants lost
parsley          | parsley                  |                        |
coriander        | coriander                |                        |
chervil          | chervil                  |                        |
dill             | dill                     |                        |
basil            | basil                    | chilled black          | plants lost
thyme            | thyme                    |                        |
sage             | sage                     |                        |
rosemary         | rosemary                 |                        |
mint             | mint                     |                        |
potato           | early potatoes           | tops burnt             | tops lost
tomato           | tomatoes                 | chilled                | plants lost
cherry-tomato    | cherry tomatoes          | chilled                | plants lost
pepper           | peppers                  | chilled                | plants lost
chilli           | chillies                 | chilled                | plants lost
aubergine        | aubergines               | chilled                | plants lost
cucumber         | cucumbers                | chilled                | plants lost
courgette        | courgettes               | chilled                | plants lost
squash           | winter squash            | chilled                | plants lost
melon            | melons                   | chilled                | plants lost
sweetcorn        | sweetcorn                |                        |
strawberry       | strawberries             | leaf burn              | plants lost
day-neutral      | day-neutral strawberries | leaf burn              | plants lost
anemone          | anemones                 |                        |
ranunculus       | ranunculus               |                        |
stock            | stocks                   |                        |
snapdragon       | snapdragons              |                        |
sweet-pea        | sweet peas               |                        |
larkspur         | larkspur                 |                        |
cornflower       | cornflowers              |                        |
nigella          | nigella                  |                        |
calendula        | calendula                |                        |
iceland-poppy    | Iceland poppies          |                        |
sweet-william    | sweet william            |                        |
foxglove         | foxgloves                |                        |
wallflower       | wallflowers              |                        |
tulip            | tulips                   |                        |
narcissus        | narcissi                 |                        |
freesia          | freesias                 |                        |
statice          | statice                  |                        |
dahlia           | dahlias                  | tops blackened         | plants lost
zinnia           | zinnias                  | chilled                | plants lost
cosmos           | cosmos                   | tops blackened         | plants lost
sunflower        | sunflowers               |                        |
fig              | figs                     | shoots burnt           | wood lost
raspberry        | raspberries              | leaf burn              | canes lost
grape            | table grapes             | shoots burnt           | wood lost
physalis         | Cape gooseberries        |                        |
rye              | rye                      |                        |
winter-vetch     | winter vetch             |                        |
crimson-clover   | crimson clover           |                        |
phacelia         | phacelia                 |                        |
white-mustard    | white mustard            |                        |
field-bean       | field beans              |                        |
rest             | rest, nothing grown      |                        |
solarised        | solarised under film     |                        |
dahlia-boxed     | dahlia tubers in boxes   | outermost frosted      | rotten
potato-boxed     | seed potatoes in boxes   | outermost frosted      | rotten
corms-boxed      | corms and bulbs in boxes | outermost frosted      | rotten
buckwheat        | buckwheat                |                        |
`;
