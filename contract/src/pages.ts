/**
 * The app's pages by address: what each is called in the window's bar, and so which addresses there are at all. Contract:
 * `pageTitle(path)` gives the name, null where there is no such page. A test holds it to the app's own files.
 */
import { PAGE_TITLE } from '@fogata/core/words';

const PAGES: readonly (readonly [RegExp, string])[] = [
  [/^\/$/, PAGE_TITLE.now],
  [/^\/ahead$/, PAGE_TITLE.ahead],
  [/^\/sheet$/, PAGE_TITLE.sheet],
  [/^\/ask$/, PAGE_TITLE.ask],
  [/^\/start$/, PAGE_TITLE.start],
  [/^\/beds$/, PAGE_TITLE.beds],
  [/^\/season$/, PAGE_TITLE.season],
  [/^\/board$/, PAGE_TITLE.board],
  [/^\/season\/[^/]+$/, PAGE_TITLE.seasonOne],
  [/^\/log$/, PAGE_TITLE.log],
  [/^\/kit$/, PAGE_TITLE.kit],
  [/^\/plan$/, PAGE_TITLE.plan],
  [/^\/site$/, PAGE_TITLE.site],
  [/^\/settings$/, PAGE_TITLE.settings],
  [/^\/files$/, PAGE_TITLE.files],
  [/^\/import$/, PAGE_TITLE.import],
  [/^\/forecast$/, PAGE_TITLE.forecast],
  [/^\/feeds$/, PAGE_TITLE.feeds],
  [/^\/cut$/, PAGE_TITLE.cut],
  [/^\/place\/[^/]+$/, PAGE_TITLE.place],
  [/^\/bed\/[^/]+$/, PAGE_TITLE.bed],
  [/^\/structure\/[^/]+$/, PAGE_TITLE.structure],
  [/^\/planting\/[^/]+$/, PAGE_TITLE.planting],
  [/^\/story\/[^/]+$/, PAGE_TITLE.story],
  [/^\/cover\/[^/]+$/, PAGE_TITLE.cover],
  [/^\/water$/, PAGE_TITLE.water],
  [/^\/round$/, PAGE_TITLE.round],
  [/^\/nursery$/, PAGE_TITLE.nursery],
  [/^\/plantings$/, PAGE_TITLE.plantings],
  [/^\/seeds$/, PAGE_TITLE.seeds],
  [/^\/compare$/, PAGE_TITLE.compare],
  [/^\/packet$/, PAGE_TITLE.packet],
  [/^\/cultivar\/[^/]+$/, PAGE_TITLE.cultivar],
  [/^\/calc\/[^/]+$/, PAGE_TITLE.calc],
  [/^\/nights$/, PAGE_TITLE.nights],
  [/^\/night\/\d{4}-\d{2}-\d{2}$/, PAGE_TITLE.night],
];

export function pageTitle(path: string): string | null {
  const clean = path.length > 1 ? path.replace(/\/+$/, '') : path;
  return PAGES.find(([is]) => is.test(clean))?.[1] ?? null;
}
