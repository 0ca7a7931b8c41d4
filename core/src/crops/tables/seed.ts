/**
 * Seed and soil. `depth` in mm; `in`: a seed that wants `dark`, `light`, or does not mind; plants from one seed (a beet's
 * cluster gives two); a seed's weight in mg (of bulbs, corms and cloves their own); usual germination in per cent of fresh seed and the years
 * in which half of it goes, kept cool and dry; `N` what a crop takes up, g/m². `shares`: diseases that stay in the soil for
 * its kin, and the years to leave between. `rain` spoils it as it ripens. Pots: litres for one plant and ml of water on a
 * bright day, where it is grown so. Rounded from seed merchants' and extension tables; starting values.
 */
export const SEED = `
id               | depth | in     | germs | mg    | germ | half | N  | shares             | years | rain | pot | ml
mache            | 8     | dark   | 1     | 1.2   | 80   | 4    | 6  | root rots          | 2     | no   | -   | -
spinach          | 15    | dark   | 1     | 10    | 80   | 4    | 12 | beet nematode, downy mildew | 3 | no | - | -
lettuce          | 5     | light  | 1     | 1.1   | 90   | 4    | 9  | lettuce drop, root aphid | 3 | no  | -   | -
lettuce-leaf     | 5     | light  | 1     | 1.1   | 90   | 4    | 8  | lettuce drop, root aphid | 3 | no  | -   | -
lettuce-romaine  | 5     | light  | 1     | 1.1   | 90   | 4    | 9  | lettuce drop, root aphid | 3 | no  | -   | -
endive           | 8     | either | 1     | 1.5   | 85   | 5    | 11 | lettuce drop       | 3     | no   | -   | -
escarole         | 8     | either | 1     | 1.5   | 85   | 5    | 11 | lettuce drop       | 3     | no   | -   | -
radicchio        | 8     | either | 1     | 1.5   | 80   | 5    | 11 | lettuce drop       | 3     | no   | -   | -
sugarloaf        | 8     | either | 1     | 1.5   | 80   | 5    | 12 | lettuce drop       | 3     | no   | -   | -
claytonia        | 5     | either | 1     | 0.6   | 75   | 4    | 6  | root rots          | 2     | no   | -   | -
minutina         | 5     | either | 1     | 0.4   | 75   | 4    | 7  | root rots          | 2     | no   | -   | -
purslane         | 3     | light  | 1     | 0.35  | 85   | 6    | 7  | root rots          | 2     | no   | -   | -
mizuna           | 10    | either | 1     | 1.8   | 90   | 5    | 10 | clubroot, flea beetle | 4  | no   | -   | -
rocket           | 8     | either | 1     | 1.7   | 90   | 4    | 9  | clubroot, flea beetle | 4  | no   | -   | -
wild-rocket      | 5     | either | 1     | 0.3   | 80   | 4    | 9  | clubroot, flea beetle | 4  | no   | -   | -
garden-cress     | 3     | light  | 1     | 2.2   | 92   | 5    | 5  | clubroot           | 3     | no   | -   | -
land-cress       | 8     | either | 1     | 1     | 80   | 4    | 8  | clubroot           | 4     | no   | -   | -
mustard-leaf     | 10    | either | 1     | 1.8   | 90   | 5    | 10 | clubroot, flea beetle | 4  | no   | -   | -
tatsoi           | 10    | either | 1     | 1.8   | 90   | 5    | 10 | clubroot, flea beetle | 4  | no   | -   | -
komatsuna        | 10    | either | 1     | 2     | 90   | 5    | 10 | clubroot, flea beetle | 4  | no   | -   | -
pak-choi         | 10    | either | 1     | 2     | 90   | 5    | 11 | clubroot, flea beetle | 4  | no   | -   | -
napa-cabbage     | 10    | either | 1     | 2.5   | 90   | 5    | 16 | clubroot           | 4     | no   | -   | -
chard            | 20    | dark   | 2     | 15    | 75   | 5    | 12 | beet nematode, leaf spot | 3 | no  | -   | -
sorrel           | 8     | either | 1     | 0.7   | 75   | 4    | 9  | leaf miners        | 2     | no   | -   | -
kale             | 12    | either | 1     | 3     | 90   | 5    | 15 | clubroot, cabbage root fly | 4 | no | -  | -
collard          | 12    | either | 1     | 3     | 90   | 5    | 15 | clubroot, cabbage root fly | 4 | no | -  | -
spring-cabbage   | 12    | either | 1     | 3.3   | 90   | 5    | 18 | clubroot, cabbage root fly | 4 | no | -  | -
savoy            | 12    | either | 1     | 3.3   | 90   | 5    | 22 | clubroot, cabbage root fly | 4 | no | -  | -
cauliflower      | 12    | either | 1     | 3     | 88   | 4    | 24 | clubroot, cabbage root fly | 4 | no | -  | -
broccoli         | 12    | either | 1     | 3.3   | 90   | 4    | 20 | clubroot, cabbage root fly | 4 | no | -  | -
purple-sprouting | 12    | either | 1     | 3.3   | 90   | 4    | 20 | clubroot, cabbage root fly | 4 | no | -  | -
kohlrabi         | 12    | either | 1     | 3.3   | 90   | 5    | 14 | clubroot, cabbage root fly | 4 | no | -  | -
radish           | 12    | either | 1     | 10    | 90   | 5    | 6  | clubroot, flea beetle | 3  | no   | -   | -
winter-radish    | 15    | either | 1     | 11    | 90   | 5    | 10 | clubroot, flea beetle | 4  | no   | -   | -
turnip           | 10    | either | 1     | 2     | 90   | 5    | 10 | clubroot, flea beetle | 4  | no   | -   | -
carrot           | 8     | either | 1     | 1.1   | 75   | 3    | 9  | carrot fly, cavity spot | 4 | no  | -   | -
parsnip          | 15    | either | 1     | 4     | 65   | 1    | 12 | carrot fly, canker | 4     | no   | -   | -
beetroot         | 20    | dark   | 2     | 15    | 75   | 5    | 12 | beet nematode, leaf spot | 3 | no  | -   | -
celeriac         | 1     | light  | 1     | 0.4   | 75   | 4    | 18 | leaf spot, carrot fly | 4  | no   | -   | -
celery           | 1     | light  | 1     | 0.4   | 75   | 4    | 18 | leaf spot, carrot fly | 4  | no   | -   | -
florence-fennel  | 10    | dark   | 1     | 4.5   | 80   | 3    | 12 | sclerotinia        | 3     | no   | -   | -
spring-onion     | 12    | dark   | 1     | 4     | 80   | 1.5  | 8  | white rot, onion fly | 5   | no   | -   | -
onion            | 12    | dark   | 1     | 4     | 80   | 1.5  | 12 | white rot, onion fly | 5   | yes  | -   | -
leek             | 12    | dark   | 1     | 2.8   | 80   | 2    | 15 | white rot, rust    | 5     | no   | -   | -
garlic           | 50    | dark   | 1     | 5000  | 95   | 0.5  | 10 | white rot, nematode | 5    | yes  | -   | -
shallot          | 30    | dark   | 5     | 12000 | 95   | 0.5  | 10 | white rot, nematode | 5    | yes  | -   | -
chives           | 8     | dark   | 1     | 1.2   | 75   | 1.5  | 10 | white rot, rust    | 5     | no   | 2   | 60
pea-shoots       | 30    | dark   | 1     | 200   | 90   | 4    | 4  | root rots          | 4     | no   | -   | -
snap-pea         | 30    | dark   | 1     | 220   | 90   | 4    | 6  | root rots          | 4     | no   | -   | -
broad-bean       | 50    | dark   | 1     | 1500  | 90   | 5    | 6  | root rots, rust    | 4     | no   | -   | -
french-bean      | 30    | dark   | 1     | 350   | 88   | 4    | 8  | root rots, halo blight | 3 | no   | -   | -
climbing-bean    | 30    | dark   | 1     | 400   | 88   | 4    | 10 | root rots, halo blight | 3 | no   | -   | -
parsley          | 8     | either | 1     | 1.5   | 75   | 2    | 11 | carrot fly, leaf spot | 4  | no   | 2   | 100
coriander        | 12    | dark   | 2     | 11    | 75   | 4    | 8  | root rots          | 3     | no   | -   | -
chervil          | 5     | light  | 1     | 2     | 75   | 2    | 7  | root rots          | 3     | no   | -   | -
dill             | 5     | light  | 1     | 1.2   | 75   | 3    | 7  | root rots          | 3     | no   | -   | -
basil            | 3     | light  | 1     | 1.5   | 85   | 5    | 10 | fusarium wilt, downy mildew | 3 | no | 1.5 | 120
thyme            | 1     | light  | 1     | 0.2   | 75   | 3    | 6  | root rots          | 3     | no   | 2   | 60
sage             | 8     | either | 1     | 8     | 75   | 3    | 7  | root rots          | 3     | no   | 3   | 90
rosemary         | 5     | light  | 1     | 1.1   | 40   | 2    | 6  | root rots          | 3     | no   | 5   | 120
mint             | 1     | light  | 1     | 0.07  | 70   | 3    | 9  | rust               | 4     | no   | 5   | 250
potato           | 100   | dark   | 1     | 50000 | 97   | 0.4  | 14 | blight, eelworm, scab | 4  | no   | 20  | 900
tomato           | 8     | either | 1     | 3     | 90   | 6    | 24 | blight, root knot, corky root | 4 | no | 15 | 2500
cherry-tomato    | 8     | either | 1     | 2.5   | 90   | 6    | 24 | blight, root knot, corky root | 4 | yes | 15 | 2300
pepper           | 8     | either | 1     | 6     | 88   | 4    | 18 | root knot, wilt    | 4     | no   | 10  | 1500
chilli           | 8     | either | 1     | 5     | 85   | 4    | 16 | root knot, wilt    | 4     | no   | 7   | 1200
aubergine        | 8     | either | 1     | 4     | 85   | 5    | 20 | root knot, wilt    | 4     | no   | 12  | 1800
cucumber         | 15    | dark   | 1     | 28    | 92   | 6    | 22 | root knot, wilt    | 3     | no   | 15  | 3000
courgette        | 20    | dark   | 1     | 130   | 92   | 5    | 15 | root knot, mildew  | 3     | no   | 25  | 3000
squash           | 20    | dark   | 1     | 200   | 90   | 5    | 15 | root knot, mildew  | 3     | no   | -   | -
melon            | 15    | dark   | 1     | 35    | 90   | 6    | 15 | root knot, wilt    | 4     | yes  | 15  | 2500
sweetcorn        | 30    | dark   | 1     | 200   | 88   | 2    | 18 | smut               | 2     | no   | -   | -
strawberry       | -     | -      | 1     | -     | -    | -    | 10 | wilt, red core     | 4     | yes  | 3   | 350
day-neutral      | -     | -      | 1     | -     | -    | -    | 12 | wilt, red core     | 4     | yes  | 3   | 400
anemone          | 40    | dark   | 1     | 1500  | 90   | 0.7  | 8  | downy mildew, root rots | 3 | no  | 2   | 120
ranunculus       | 40    | dark   | 1     | 1000  | 90   | 0.7  | 8  | root rots          | 3     | yes  | 2   | 120
stock            | 5     | light  | 1     | 1.6   | 85   | 4    | 10 | clubroot, wilt     | 4     | no   | -   | -
snapdragon       | 1     | light  | 1     | 0.15  | 80   | 4    | 9  | rust, root rots    | 3     | no   | -   | -
sweet-pea        | 20    | dark   | 1     | 80    | 80   | 3    | 6  | root rots          | 4     | yes  | 10  | 700
larkspur         | 8     | dark   | 1     | 2.2   | 70   | 1.5  | 8  | root rots          | 3     | no   | -   | -
cornflower       | 10    | dark   | 1     | 4     | 80   | 3    | 7  | rust               | 3     | no   | -   | -
nigella          | 8     | dark   | 1     | 2.2   | 75   | 3    | 6  | root rots          | 3     | no   | -   | -
calendula        | 12    | dark   | 1     | 8     | 75   | 3    | 7  | mildew             | 3     | no   | -   | -
iceland-poppy    | 1     | light  | 1     | 0.15  | 75   | 3    | 7  | root rots          | 3     | yes  | -   | -
sweet-william    | 5     | either | 1     | 1     | 80   | 3    | 8  | rust               | 3     | no   | -   | -
foxglove         | 1     | light  | 1     | 0.1   | 80   | 3    | 8  | leaf spot          | 3     | no   | -   | -
wallflower       | 8     | either | 1     | 1.5   | 80   | 4    | 9  | clubroot           | 4     | no   | -   | -
tulip            | 120   | dark   | 1     | 20000 | 97   | 0.4  | 5  | tulip fire, grey bulb rot | 4 | yes | 2 | 120
narcissus        | 120   | dark   | 1     | 30000 | 97   | 0.4  | 5  | basal rot, eelworm | 4     | no   | 2   | 120
freesia          | 50    | dark   | 1     | 2000  | 92   | 0.5  | 7  | fusarium wilt      | 4     | no   | 2   | 120
statice          | 3     | either | 1     | 2.5   | 75   | 3    | 8  | root rots          | 3     | yes  | -   | -
dahlia           | 100   | dark   | 1     | 80000 | 92   | 0.5  | 12 | crown gall         | 3     | no   | 12  | 1000
zinnia           | 8     | dark   | 1     | 8     | 85   | 4    | 8  | mildew, leaf spot  | 3     | yes  | -   | -
cosmos           | 8     | either | 1     | 6     | 85   | 4    | 7  | mildew             | 2     | no   | -   | -
sunflower        | 20    | dark   | 1     | 50    | 90   | 4    | 10 | sclerotinia        | 3     | no   | -   | -
fig              | -     | -      | 1     | -     | -    | -    | 6  | root knot          | 0     | yes  | 40  | 3000
raspberry        | -     | -      | 1     | -     | -    | -    | 8  | root rots          | 8     | yes  | 10  | 1200
grape            | -     | -      | 1     | -     | -    | -    | 6  | mildew             | 0     | yes  | 40  | 2500
physalis         | 5     | light  | 1     | 1     | 80   | 4    | 12 | wilt               | 3     | no   | 10  | 1200
rye              | 30    | dark   | 1     | 35    | 90   | 4    | 8  | ergot              | 1     | no   | -   | -
winter-vetch     | 30    | dark   | 1     | 40    | 85   | 5    | 4  | root rots          | 3     | no   | -   | -
crimson-clover   | 8     | either | 1     | 4     | 85   | 4    | 4  | sclerotinia        | 4     | no   | -   | -
phacelia         | 10    | dark   | 1     | 1.8   | 85   | 4    | 8  | -                  | 1     | no   | -   | -
white-mustard    | 15    | either | 1     | 6     | 90   | 5    | 9  | clubroot           | 3     | no   | -   | -
field-bean       | 60    | dark   | 1     | 500   | 88   | 5    | 5  | root rots, rust    | 4     | no   | -   | -
buckwheat        | 25    | dark   | 1     | 28    | 88   | 3    | 6  | -                  | 1     | no   | -   | -
rest             | -     | -      | 1     | -     | -    | -    | 0  | -                  | 0     | no   | -   | -
solarised        | -     | -      | 1     | -     | -    | -    | 0  | -                  | 0     | no   | -   | -
dahlia-boxed     | -     | -      | 1     | -     | -    | -    | 0  | -                  | 0     | no   | -   | -
potato-boxed     | -     | -      | 1     | -     | -    | -    | 0  | -                  | 0     | no   | -   | -
corms-boxed      | -     | -      | 1     | -     | -    | -    | 0  | -                  | 0     | no   | -   | -
`;
