export { hasWords, lookChoices, shortOf, toggleWords, type LookChoice } from './choices.ts';
export { comeBack, keptSoFar, type ComeBack, type ComeBackFacts, type KeptSoFar } from './comeBack.ts';
