import type { SeasonFile } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { lookAtMove, moveEvent, type EventMoved } from '../events/useEventMove.ts';
import { seasonPath } from './useSeason.ts';
import { t } from '../words/season.ts';

/** An event that was moved and took other things along, as a step that can be taken back and done again. `refresh`: reads what is shown. */
export function movedStep({ event, from, to, visits, goals, look: first }: EventMoved, refresh: () => Promise<unknown>) {
  const go = async (day: string) => {
    const look = await lookAtMove(event.id, day);
    const along = look.visits.filter(({ id, past }) => visits.includes(id) && !past).map(({ id }) => id);
    await moveEvent(look, along, goals);
  };
  return {
    words: t('moved', { name: event.name }),
    back: async () => {
      await go(from);
      // Where something had to give way, moving back alone does not bring it again.
      for (const { owner, ownerId, before } of first.lines) {
        const path = seasonPath({ owner, id: ownerId });
        const { revision, plan: now } = await api<SeasonFile>('GET', path);
        if (JSON.stringify(now.blocks) !== JSON.stringify(before)) await api('PUT', path, { revision, ...now, blocks: before });
      }
      await refresh();
    },
    again: async () => {
      await go(to);
      await refresh();
    },
  };
}
