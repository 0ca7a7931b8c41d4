/**
 * Every screen but Now, fetched together when the first of them is opened (and beforehand, for use without signal): so
 * that the first words of Now wait for nothing that only the others need. Only `later` asks for this.
 */
export { AheadScreen } from './AheadScreen';
export { AskScreen } from './AskScreen';
export { BedScreen } from './BedScreen';
export { BedsScreen } from './BedsScreen';
export { BoardScreen } from './BoardScreen';
export { CalcScreen } from './CalcScreen';
export { CompareScreen } from './CompareScreen';
export { CoverScreen } from './CoverScreen';
export { CultivarScreen } from './CultivarScreen';
export { CutScreen } from './CutScreen';
export { FeedsScreen } from './FeedsScreen';
export { FilesScreen } from './FilesScreen';
export { ForecastScreen } from './ForecastScreen';
export { ImportScreen } from './ImportScreen';
export { KitScreen } from './KitScreen';
export { LogScreen } from './LogScreen';
export { NightScreen } from './NightScreen';
export { NightsScreen } from './NightsScreen';
export { PacketScreen } from './PacketScreen';
export { PlacePanel, PlaceScreen } from './PlaceScreen';
export { PlanScreen } from './PlanScreen';
export { PlantingScreen } from './PlantingScreen';
export { RoundScreen } from './RoundScreen';
export { SeasonCropScreen } from './SeasonCropScreen';
export { SeasonScreen } from './SeasonScreen';
export { SeedsScreen } from './SeedsScreen';
export { SettingsScreen } from './SettingsScreen';
export { SheetScreen } from './SheetScreen';
export { SiteScreen } from './SiteScreen';
export { PlantingsScreen } from './PlantingsScreen';
export { NurseryScreen } from './NurseryScreen';
export { WaterScreen } from './WaterScreen';
export { StoryScreen } from './StoryScreen';
export { StartScreen } from './StartScreen';
export { StructureScreen } from './StructureScreen';
