/**
 * The app's pages by address: what each is called in the window's bar, and so which addresses there are at all. Contract:
 * `pageTitle(path)` gives the name, null where there is no such page. A test holds it to the app's own files.
 */
const PAGES: readonly (readonly [RegExp, string])[] = [
  [/^\/$/, 'Now'],
  [/^\/ahead$/, 'The nights to come'],
  [/^\/sheet$/, 'For paper'],
  [/^\/ask$/, 'Will it stand tonight?'],
  [/^\/start$/, 'A farm like yours'],
  [/^\/beds$/, 'Beds'],
  [/^\/season$/, 'Season'],
  [/^\/board$/, 'The board'],
  [/^\/season\/[^/]+$/, 'A crop’s year'],
  [/^\/log$/, 'Log'],
  [/^\/kit$/, 'Kit'],
  [/^\/plan$/, 'The plan'],
  [/^\/site$/, 'The site'],
  [/^\/settings$/, 'Settings'],
  [/^\/files$/, 'Files'],
  [/^\/import$/, 'A table of weather'],
  [/^\/forecast$/, 'Tonight’s weather'],
  [/^\/feeds$/, 'Weather that comes by itself'],
  [/^\/cut$/, 'The cut list'],
  [/^\/place\/[^/]+$/, 'A bed tonight'],
  [/^\/bed\/[^/]+$/, 'A bed'],
  [/^\/structure\/[^/]+$/, 'A structure'],
  [/^\/planting\/[^/]+$/, 'A planting'],
  [/^\/story\/[^/]+$/, 'A planting’s story'],
  [/^\/cover\/[^/]+$/, 'A cover'],
  [/^\/water$/, 'Water'],
  [/^\/round$/, 'The round'],
  [/^\/nursery$/, 'Trays'],
  [/^\/plantings$/, 'All plantings'],
  [/^\/seeds$/, 'Seed'],
  [/^\/compare$/, 'Side by side'],
  [/^\/packet$/, 'A packet of seed'],
  [/^\/cultivar\/[^/]+$/, 'A cultivar'],
  [/^\/calc\/[^/]+$/, 'A reckoning'],
  [/^\/nights$/, 'All nights'],
  [/^\/night\/\d{4}-\d{2}-\d{2}$/, 'Said and measured'],
];

export function pageTitle(path: string): string | null {
  const clean = path.length > 1 ? path.replace(/\/+$/, '') : path;
  return PAGES.find(([is]) => is.test(clean))?.[1] ?? null;
}
