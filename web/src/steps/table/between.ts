import type { StripItem } from '@pace-bend/core/session';
import { t } from '../../words/table.ts';

const KINDS: Readonly<Record<StripItem['kind'], (item: StripItem, sides: string) => string>> = {
  opening: () => '',
  close: () => '',
  block: () => '',
  turn: (item) => t('turn2', { position: item.position }),
  side: (item) => t('walkRoundTable', { words: item.words.toLowerCase() }),
  before: (item, sides) => t('read', { words: item.words.toLowerCase(), sides }),
  after: (item, sides) => t('readAgain', { words: item.words.toLowerCase(), sides }),
};

/**
 * What is to be done before the next block, short enough to read across a room. Sides of one motion that are read one after the other
 * are named together.
 * @example betweenWords([{ kind: 'turn', startS: 0, seconds: 15, position: 'prone', words: 'Turn: prone' }]) // → 'turn: prone'
 */
export function betweenWords(items: readonly StripItem[]): string {
  const said: string[] = [];
  for (let i = 0; i < items.length; i++) {
    const item = items[i]!;
    const sides = [item.side];
    while (item.motionId !== undefined && items[i + 1]?.motionId === item.motionId && items[i + 1]!.kind === item.kind)
      sides.push(items[++i]!.side);
    const named = sides.filter((side) => side !== undefined && side !== 'midline').join(' and ');
    const words = KINDS[item.kind](item, named === '' ? '' : `, ${named},`);
    if (words !== '') said.push(words.replace(/,$/, ''));
  }
  return said.join(' · ');
}
