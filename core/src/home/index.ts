export { homeShareBetween, keptBeside, motionsOfItem, type HomeBeside } from './done.ts';
export { homeGround } from './ground.ts';
export { homeItem, homeSides, sideWords } from './item.ts';
export { homeOffers, judgeItem, type HomeGround, type HomeOffer, type ItemJudged } from './offers.ts';
export { doseLine, doseNumbers, sheetText, spanWords, tickRows, type DoseNumber } from './words.ts';
