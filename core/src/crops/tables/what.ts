/**
 * What each crop is, and how it stands and is picked. A row a crop; starting values from growers' handbooks and seed
 * catalogues' common ground, rounded. `height` as it is when it is picked; `kg/m` of a metre of row over all its cuts, of
 * flowers and what is not weighed '-'; `value` of a metre of row in the farm's money. Two words say what frost does to it.
 */
export const WHAT = `
id               | name                     | family         | group      | aim     | habit  | height | spread | spacing | rows/m | cover | kg/m | cuts | value | hurt           | lost
mache            | mâche                    | Caprifoliaceae | salad      | survive | whole  | 0.06   | 0.10   | 0.04    | 4      | 0.7   | 0.5  | 1    | 7     |                |
spinach          | spinach                  | Amaranthaceae  | cooking    | survive | cut    | 0.12   | 0.20   | 0.06    | 4      | 0.6   | 1.2  | 3    | 6     |                |
lettuce          | lettuce heads            | Asteraceae     | salad      | survive | whole  | 0.15   | 0.28   | 0.28    | 4      | 0.6   | 1.2  | 1    | 8     |                |
lettuce-leaf     | leaf lettuce             | Asteraceae     | salad      | survive | cut    | 0.1    | 0.18   | 0.04    | 4      | 0.6   | 1.0  | 3    | 7     |                |
lettuce-romaine  | romaine                  | Asteraceae     | salad      | survive | whole  | 0.22   | 0.28   | 0.28    | 4      | 0.6   | 1.4  | 1    | 8     |                |
endive           | endive                   | Asteraceae     | salad      | survive | whole  | 0.15   | 0.32   | 0.30    | 4      | 0.6   | 1.3  | 1    | 7     |                |
escarole         | escarole                 | Asteraceae     | salad      | survive | whole  | 0.18   | 0.34   | 0.30    | 4      | 0.6   | 1.5  | 1    | 7     |                |
radicchio        | radicchio                | Asteraceae     | salad      | survive | whole  | 0.18   | 0.30   | 0.28    | 3      | 0.6   | 0.9  | 1    | 9     |                |
sugarloaf        | sugarloaf chicory        | Asteraceae     | salad      | survive | whole  | 0.3    | 0.32   | 0.30    | 3      | 0.6   | 1.6  | 1    | 7     |                |
claytonia        | claytonia                | Montiaceae     | salad      | survive | cut    | 0.08   | 0.15   | 0.05    | 4      | 0.6   | 1.0  | 3    | 6     |                |
minutina         | buck's-horn plantain     | Plantaginaceae | salad      | survive | cut    | 0.12   | 0.15   | 0.08    | 4      | 0.5   | 0.9  | 3    | 6     |                |
purslane         | summer purslane          | Portulacaceae  | salad      | grow    | cut    | 0.15   | 0.20   | 0.06    | 4      | 0.6   | 1.2  | 2    | 7     | chilled        | plants lost
mizuna           | mizuna                   | Brassicaceae   | salad      | survive | cut    | 0.2    | 0.20   | 0.05    | 4      | 0.6   | 1.2  | 3    | 6     |                |
rocket           | rocket                   | Brassicaceae   | salad      | survive | cut    | 0.15   | 0.18   | 0.03    | 4      | 0.6   | 0.9  | 3    | 7     |                |
wild-rocket      | wild rocket              | Brassicaceae   | salad      | survive | cut    | 0.15   | 0.20   | 0.05    | 4      | 0.6   | 0.8  | 4    | 8     |                |
garden-cress     | garden cress             | Brassicaceae   | salad      | grow    | cut    | 0.08   | 0.10   | 0.01    | 5      | 0.7   | 0.5  | 1    | 6     |                |
land-cress       | land cress               | Brassicaceae   | salad      | survive | cut    | 0.12   | 0.20   | 0.12    | 4      | 0.6   | 0.7  | 3    | 6     |                |
mustard-leaf     | mustard leaves           | Brassicaceae   | salad      | survive | cut    | 0.2    | 0.22   | 0.05    | 4      | 0.6   | 1.2  | 3    | 6     |                |
tatsoi           | tatsoi                   | Brassicaceae   | salad      | survive | whole  | 0.1    | 0.25   | 0.18    | 4      | 0.6   | 1.2  | 1    | 6     |                |
komatsuna        | komatsuna                | Brassicaceae   | cooking    | survive | cut    | 0.25   | 0.22   | 0.08    | 4      | 0.6   | 1.6  | 2    | 6     |                |
pak-choi         | pak choi                 | Brassicaceae   | cooking    | survive | whole  | 0.2    | 0.25   | 0.20    | 4      | 0.6   | 1.6  | 1    | 7     |                |
napa-cabbage     | Chinese cabbage          | Brassicaceae   | cooking    | survive | whole  | 0.35   | 0.40   | 0.40    | 3      | 0.7   | 2.5  | 1    | 6     |                |
chard            | chard                    | Amaranthaceae  | cooking    | survive | leaves | 0.25   | 0.35   | 0.25    | 4      | 0.6   | 2.2  | 5    | 6     |                |
sorrel           | sorrel                   | Polygonaceae   | cooking    | survive | leaves | 0.25   | 0.30   | 0.25    | 3      | 0.6   | 1.2  | 5    | 6     |                |
kale             | kale                     | Brassicaceae   | brassica   | survive | leaves | 0.4    | 0.45   | 0.40    | 4      | 0.7   | 2.0  | 6    | 6     |                |
collard          | collards                 | Brassicaceae   | brassica   | survive | leaves | 0.5    | 0.50   | 0.45    | 2      | 0.7   | 2.0  | 5    | 5     |                |
spring-cabbage   | spring cabbage           | Brassicaceae   | brassica   | survive | whole  | 0.3    | 0.35   | 0.30    | 3      | 0.7   | 2.2  | 1    | 6     |                |
savoy            | savoy                    | Brassicaceae   | brassica   | survive | whole  | 0.35   | 0.50   | 0.45    | 2      | 0.7   | 2.5  | 1    | 5     |                |
cauliflower      | cauliflower              | Brassicaceae   | brassica   | survive | whole  | 0.5    | 0.55   | 0.50    | 2      | 0.7   | 1.6  | 1    | 6     |                |
broccoli         | broccoli                 | Brassicaceae   | brassica   | survive | whole  | 0.5    | 0.50   | 0.40    | 2      | 0.7   | 1.3  | 2    | 6     |                |
purple-sprouting | purple sprouting         | Brassicaceae   | brassica   | survive | stems  | 0.7    | 0.60   | 0.55    | 2      | 0.7   | 1.2  | 4    | 8     |                |
kohlrabi         | kohlrabi                 | Brassicaceae   | brassica   | survive | whole  | 0.3    | 0.25   | 0.20    | 4      | 0.6   | 1.8  | 1    | 7     |                |
radish           | radish                   | Brassicaceae   | root       | survive | roots  | 0.1    | 0.12   | 0.03    | 4      | 0.6   | 0.9  | 1    | 5     |                |
winter-radish    | winter radish            | Brassicaceae   | root       | survive | roots  | 0.25   | 0.25   | 0.12    | 4      | 0.6   | 2.0  | 1    | 5     | tops burnt     | roots lost
turnip           | salad turnips            | Brassicaceae   | root       | survive | roots  | 0.2    | 0.18   | 0.07    | 4      | 0.6   | 1.5  | 1    | 6     | tops burnt     | roots lost
carrot           | carrots                  | Apiaceae       | root       | survive | roots  | 0.2    | 0.12   | 0.03    | 4      | 0.6   | 1.8  | 1    | 5     | tops burnt, roots safe | plants lost
parsnip          | parsnips                 | Apiaceae       | root       | survive | roots  | 0.35   | 0.20   | 0.08    | 3      | 0.6   | 2.0  | 1    | 4     | tops burnt, roots safe | plants lost
beetroot         | beetroot                 | Amaranthaceae  | root       | survive | roots  | 0.25   | 0.20   | 0.08    | 4      | 0.6   | 2.0  | 1    | 5     | tops burnt     | roots lost
celeriac         | celeriac                 | Apiaceae       | root       | survive | roots  | 0.35   | 0.35   | 0.30    | 3      | 0.6   | 2.5  | 1    | 5     | tops burnt     | roots lost
celery           | celery                   | Apiaceae       | cooking    | grow    | stems  | 0.4    | 0.30   | 0.28    | 3      | 0.6   | 2.5  | 1    | 6     |                |
florence-fennel  | bulb fennel              | Apiaceae       | root       | grow    | whole  | 0.45   | 0.25   | 0.20    | 4      | 0.5   | 1.6  | 1    | 7     |                |
spring-onion     | spring onions            | Amaryllidaceae | onion      | survive | whole  | 0.25   | 0.08   | 0.02    | 4      | 0.3   | 1.2  | 1    | 5     |                |
onion            | overwintered onions      | Amaryllidaceae | onion      | survive | whole  | 0.4    | 0.15   | 0.08    | 4      | 0.35  | 1.8  | 1    | 4     |                |
leek             | leeks                    | Amaryllidaceae | onion      | survive | whole  | 0.4    | 0.15   | 0.12    | 4      | 0.35  | 2.0  | 1    | 6     |                |
garlic           | garlic                   | Amaryllidaceae | onion      | survive | whole  | 0.5    | 0.12   | 0.10    | 4      | 0.3   | 0.7  | 1    | 7     |                |
shallot          | shallots                 | Amaryllidaceae | onion      | survive | whole  | 0.35   | 0.15   | 0.12    | 4      | 0.35  | 1.2  | 1    | 6     |                |
chives           | chives                   | Amaryllidaceae | herb       | survive | cut    | 0.25   | 0.20   | 0.20    | 4      | 0.4   | 0.8  | 4    | 8     |                |
pea-shoots       | peas                     | Fabaceae       | legume     | survive | cut    | 0.3    | 0.20   | 0.03    | 4      | 0.6   | 0.8  | 2    | 6     |                |
snap-pea         | snap peas                | Fabaceae       | legume     | flower  | fruit  | 1.5    | 0.25   | 0.05    | 1      | 0.6   | 1.2  | 8    | 12    |                |
broad-bean       | broad beans              | Fabaceae       | legume     | survive | fruit  | 0.4    | 0.30   | 0.15    | 4      | 0.6   | 1.5  | 3    | 4     |                |
french-bean      | French beans             | Fabaceae       | legume     | grow    | fruit  | 0.45   | 0.30   | 0.10    | 2      | 0.6   | 1.5  | 4    | 10    | chilled        | plants lost
climbing-bean    | climbing beans           | Fabaceae       | legume     | grow    | fruit  | 2.2    | 0.35   | 0.20    | 1      | 0.7   | 3.0  | 8    | 16    | chilled        | plants lost
parsley          | parsley                  | Apiaceae       | herb       | survive | leaves | 0.2    | 0.20   | 0.12    | 4      | 0.6   | 1.2  | 5    | 8     |                |
coriander        | coriander                | Apiaceae       | herb       | survive | cut    | 0.18   | 0.15   | 0.04    | 4      | 0.6   | 0.8  | 2    | 7     |                |
chervil          | chervil                  | Apiaceae       | herb       | survive | cut    | 0.2    | 0.18   | 0.06    | 4      | 0.6   | 0.7  | 2    | 8     |                |
dill             | dill                     | Apiaceae       | herb       | grow    | cut    | 0.3    | 0.15   | 0.05    | 4      | 0.5   | 0.8  | 1    | 7     |                |
basil            | basil                    | Lamiaceae      | herb       | grow    | leaves | 0.3    | 0.25   | 0.18    | 4      | 0.6   | 1.2  | 4    | 14    | chilled black  | plants lost
thyme            | thyme                    | Lamiaceae      | herb       | survive | leaves | 0.2    | 0.25   | 0.25    | 3      | 0.6   | 0.6  | 3    | 9     |                |
sage             | sage                     | Lamiaceae      | herb       | survive | leaves | 0.4    | 0.40   | 0.40    | 2      | 0.6   | 0.7  | 3    | 8     |                |
rosemary         | rosemary                 | Lamiaceae      | herb       | survive | leaves | 0.7    | 0.50   | 0.50    | 2      | 0.6   | 0.7  | 3    | 8     |                |
mint             | mint                     | Lamiaceae      | herb       | survive | cut    | 0.35   | 0.30   | 0.25    | 3      | 0.7   | 1.2  | 3    | 8     |                |
potato           | early potatoes           | Solanaceae     | potato     | grow    | roots  | 0.15   | 0.45   | 0.30    | 4      | 0.6   | 2.2  | 1    | 9     | tops burnt     | tops lost
tomato           | tomatoes                 | Solanaceae     | fruiting   | grow    | fruit  | 1.8    | 0.50   | 0.45    | 1      | 0.6   | 7.0  | 20   | 30    | chilled        | plants lost
cherry-tomato    | cherry tomatoes          | Solanaceae     | fruiting   | grow    | fruit  | 2.0    | 0.50   | 0.45    | 1      | 0.7   | 5.0  | 24   | 34    | chilled        | plants lost
pepper           | peppers                  | Solanaceae     | fruiting   | grow    | fruit  | 0.8    | 0.45   | 0.40    | 2      | 0.6   | 3.0  | 10   | 24    | chilled        | plants lost
chilli           | chillies                 | Solanaceae     | fruiting   | grow    | fruit  | 0.7    | 0.45   | 0.40    | 2      | 0.6   | 1.2  | 8    | 20    | chilled        | plants lost
aubergine        | aubergines               | Solanaceae     | fruiting   | grow    | fruit  | 1.0    | 0.50   | 0.50    | 1      | 0.6   | 4.0  | 12   | 26    | chilled        | plants lost
cucumber         | cucumbers                | Cucurbitaceae  | fruiting   | grow    | fruit  | 2.0    | 0.50   | 0.45    | 1      | 0.7   | 9.0  | 24   | 30    | chilled        | plants lost
courgette        | courgettes               | Cucurbitaceae  | fruiting   | grow    | fruit  | 0.6    | 0.90   | 0.70    | 1      | 0.8   | 5.0  | 20   | 16    | chilled        | plants lost
squash           | winter squash            | Cucurbitaceae  | fruiting   | grow    | fruit  | 0.5    | 1.50   | 1.00    | 1      | 0.8   | 4.0  | 1    | 8     | chilled        | plants lost
melon            | melons                   | Cucurbitaceae  | fruiting   | grow    | fruit  | 0.5    | 0.80   | 0.60    | 1      | 0.7   | 4.0  | 6    | 24    | chilled        | plants lost
sweetcorn        | sweetcorn                | Poaceae        | fruiting   | grow    | fruit  | 1.8    | 0.40   | 0.25    | 2      | 0.7   | 1.2  | 2    | 7     |                |
strawberry       | strawberries             | Rosaceae       | strawberry | flower  | fruit  | 0.15   | 0.30   | 0.28    | 4      | 0.6   | 1.6  | 12   | 14    | leaf burn      | plants lost
day-neutral      | day-neutral strawberries | Rosaceae       | strawberry | flower  | fruit  | 0.15   | 0.28   | 0.25    | 4      | 0.6   | 1.8  | 30   | 16    | leaf burn      | plants lost
anemone          | anemones                 | Ranunculaceae  | flower     | flower  | stems  | 0.2    | 0.15   | 0.12    | 4      | 0.6   | -    | 10   | 16    |                |
ranunculus       | ranunculus               | Ranunculaceae  | flower     | flower  | stems  | 0.3    | 0.15   | 0.12    | 4      | 0.6   | -    | 8    | 18    |                |
stock            | stocks                   | Brassicaceae   | flower     | flower  | stems  | 0.3    | 0.12   | 0.10    | 4      | 0.6   | -    | 1    | 15    |                |
snapdragon       | snapdragons              | Plantaginaceae | flower     | flower  | stems  | 0.8    | 0.15   | 0.12    | 4      | 0.6   | -    | 4    | 15    |                |
sweet-pea        | sweet peas               | Fabaceae       | flower     | flower  | stems  | 2.0    | 0.20   | 0.10    | 1      | 0.6   | -    | 15   | 22    |                |
larkspur         | larkspur                 | Ranunculaceae  | flower     | flower  | stems  | 1.0    | 0.15   | 0.10    | 4      | 0.5   | -    | 2    | 12    |                |
cornflower       | cornflowers              | Asteraceae     | flower     | flower  | stems  | 0.8    | 0.20   | 0.15    | 4      | 0.5   | -    | 6    | 10    |                |
nigella          | nigella                  | Ranunculaceae  | flower     | flower  | stems  | 0.5    | 0.15   | 0.10    | 4      | 0.5   | -    | 2    | 9     |                |
calendula        | calendula                | Asteraceae     | flower     | flower  | stems  | 0.5    | 0.25   | 0.20    | 4      | 0.6   | -    | 10   | 9     |                |
iceland-poppy    | Iceland poppies          | Papaveraceae   | flower     | flower  | stems  | 0.4    | 0.20   | 0.20    | 4      | 0.5   | -    | 12   | 16    |                |
sweet-william    | sweet william            | Caryophyllaceae| flower     | flower  | stems  | 0.6    | 0.20   | 0.18    | 4      | 0.6   | -    | 2    | 11    |                |
foxglove         | foxgloves                | Plantaginaceae | flower     | flower  | stems  | 1.2    | 0.35   | 0.30    | 3      | 0.6   | -    | 2    | 12    |                |
wallflower       | wallflowers              | Brassicaceae   | flower     | flower  | stems  | 0.4    | 0.25   | 0.20    | 4      | 0.6   | -    | 2    | 9     |                |
tulip            | tulips                   | Liliaceae      | flower     | flower  | stems  | 0.4    | 0.10   | 0.05    | 6      | 0.5   | -    | 1    | 25    |                |
narcissus        | narcissi                 | Amaryllidaceae | flower     | flower  | stems  | 0.4    | 0.10   | 0.06    | 6      | 0.5   | -    | 1    | 16    |                |
freesia          | freesias                 | Iridaceae      | flower     | flower  | stems  | 0.4    | 0.10   | 0.06    | 5      | 0.5   | -    | 2    | 20    |                |
statice          | statice                  | Plumbaginaceae | flower     | flower  | stems  | 0.6    | 0.30   | 0.25    | 3      | 0.5   | -    | 5    | 11    |                |
dahlia           | dahlias                  | Asteraceae     | flower     | flower  | stems  | 1.0    | 0.45   | 0.40    | 2      | 0.7   | -    | 15   | 18    | tops blackened | plants lost
zinnia           | zinnias                  | Asteraceae     | flower     | flower  | stems  | 0.8    | 0.25   | 0.22    | 3      | 0.6   | -    | 10   | 12    | chilled        | plants lost
cosmos           | cosmos                   | Asteraceae     | flower     | flower  | stems  | 1.2    | 0.35   | 0.30    | 3      | 0.5   | -    | 12   | 10    | tops blackened | plants lost
sunflower        | sunflowers               | Asteraceae     | flower     | flower  | stems  | 1.5    | 0.20   | 0.15    | 4      | 0.6   | -    | 1    | 12    |                |
fig              | figs                     | Moraceae       | fruit      | flower  | fruit  | 2.0    | 1.50   | 1.50    | 1      | 0.7   | 3.0  | 8    | 24    | shoots burnt   | wood lost
raspberry        | raspberries              | Rosaceae       | fruit      | flower  | fruit  | 1.6    | 0.50   | 0.40    | 1      | 0.7   | 2.5  | 15   | 24    | leaf burn      | canes lost
grape            | table grapes             | Vitaceae       | fruit      | flower  | fruit  | 2.0    | 1.20   | 1.50    | 1      | 0.7   | 3.5  | 3    | 18    | shoots burnt   | wood lost
physalis         | Cape gooseberries        | Solanaceae     | fruit      | grow    | fruit  | 1.0    | 0.70   | 0.60    | 1      | 0.7   | 1.2  | 6    | 16    |                |
rye              | rye                      | Poaceae        | manure     | survive | none   | 0.3    | 0.10   | 0.03    | 6      | 0.7   | -    | -    | 1     |                |
winter-vetch     | winter vetch             | Fabaceae       | manure     | survive | none   | 0.3    | 0.20   | 0.05    | 5      | 0.7   | -    | -    | 1     |                |
crimson-clover   | crimson clover           | Fabaceae       | manure     | survive | none   | 0.25   | 0.15   | 0.03    | 5      | 0.7   | -    | -    | 1     |                |
phacelia         | phacelia                 | Boraginaceae   | manure     | survive | none   | 0.4    | 0.20   | 0.04    | 5      | 0.7   | -    | -    | 1     |                |
white-mustard    | white mustard            | Brassicaceae   | manure     | survive | none   | 0.5    | 0.15   | 0.04    | 5      | 0.7   | -    | -    | 1     |                |
field-bean       | field beans              | Fabaceae       | manure     | survive | none   | 0.5    | 0.25   | 0.12    | 4      | 0.6   | -    | -    | 1     |                |
rest             | rest, nothing grown      | none           | rest       | survive | none   | 0.02   | 0.02   | 0.02    | 4      | 0     | -    | -    | 0     |                |
solarised        | solarised under film     | none           | rest       | survive | none   | 0.02   | 0.02   | 0.02    | 4      | 0     | -    | -    | 0     |                |
dahlia-boxed     | dahlia tubers in boxes   | none           | stored     | survive | none   | 0.05   | 0.02   | 0.02    | 4      | 0.3   | -    | -    | 15    | outermost frosted | rotten
potato-boxed     | seed potatoes in boxes   | none           | stored     | survive | none   | 0.05   | 0.02   | 0.02    | 4      | 0.3   | -    | -    | 6     | outermost frosted | rotten
corms-boxed      | corms and bulbs in boxes | none           | stored     | survive | none   | 0.05   | 0.02   | 0.02    | 4      | 0.3   | -    | -    | 10    | outermost frosted | rotten
buckwheat        | buckwheat                | Polygonaceae   | manure     | grow    | none   | 0.5    | 0.20   | 0.05    | 5      | 0.7   | -    | -    | 1     |                |
`;
