import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import type { Side } from '@pace-bend/core/body';
import { homeGround, homeItem, homeOffers, homeSides, judgeItem, sideWords, type HomeOffer } from '@pace-bend/core/home';
import { HOME_LIMITS, type HomeItem } from '@pace-bend/core/record';
import { DateTime } from 'luxon';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { useShelf } from '../stores/shelf.ts';
import { useVisit } from '../stores/visit.ts';

/** Days a sheet is meant for where nobody says otherwise: to about the next visit. Common practice. */
const USUAL_DAYS = 7;

/** The sheet for home of the visit that is open: what can be given, what is given, and what cautions say of each. */
export function useHome() {
  const visit = useVisit();
  const shelf = useShelf();
  const practice = usePractice();
  const session = useSession();
  const sheet = computed(() => visit.file!.home);
  const day = computed(() => practice.dayOf(visit.file!.visit.startsAt));
  const canGive = computed(() => !visit.finished && session.may('PUT', '/visits/:id/home'));
  const offers = computed<readonly HomeOffer[]>(() => {
    const file = visit.file!;
    if (!visit.cautionContext) return [];
    const ground = homeGround(file.runs, visit.readings, file.goals, file.lastHome);
    return homeOffers(ground, visit.cautionContext, file.overrides, shelf.shelf);
  });
  const judged = computed(
    () =>
      new Map(
        sheet.value.items.map((item) => [
          item.id,
          visit.cautionContext
            ? judgeItem(item, visit.cautionContext, visit.file!.overrides, shelf.shelf)
            : { forbidden: null, cautions: [] },
        ]),
      ),
  );
  const isFull = computed(() => sheet.value.items.length >= HOME_LIMITS.items);
  const usualUntil = computed(() => DateTime.fromISO(day.value).plus({ days: USUAL_DAYS }).toISODate()!);
  const until = computed(() => (sheet.value.until === '' ? usualUntil.value : sheet.value.until));
  /** What was taken off last, with its place, until something else is done. */
  const taken = ref<{ readonly item: HomeItem; readonly at: number } | null>(null);

  const write = (items: readonly HomeItem[]) => {
    taken.value = null;
    visit.setHome({ items, until: until.value });
  };
  function give(entryId: string): void {
    const offer = offers.value.find(({ entry }) => entry.id === entryId);
    if (!offer || offer.forbidden || isFull.value) return;
    write([...sheet.value.items, homeItem(uuid(), offer.entry, offer.sides, offer.limits)]);
  }
  /** The exercises of the last sheet that are still on the shelf and allowed, with new ids: what is answered later is about this sheet. */
  function giveLastAgain(): void {
    const again = visit
      .file!.lastHome!.items.filter((item) => judgeItem(item, visit.cautionContext!, visit.file!.overrides, shelf.shelf).forbidden === null)
      .map((item) => ({ ...item, id: uuid() }));
    taken.value = null;
    visit.setHome({ items: again.slice(0, HOME_LIMITS.items), until: usualUntil.value, words: visit.file!.lastHome!.words });
  }
  const change = (id: string, fields: Partial<HomeItem>) =>
    write(sheet.value.items.map((item) => (item.id === id ? { ...item, ...fields } : item)));
  /** Another side, or both: the words follow as long as nobody has changed them. */
  function setSides(item: HomeItem, sides: readonly Side[]): void {
    const entry = shelf.shelf.entries.get(item.entryId);
    if (sides.length === 0 || !entry) return;
    const times = item.sides[0]!.times;
    const said = (on: readonly Side[]) => sideWords(entry.home?.how ?? '', on);
    const asShelf = item.how === said(item.sides.map(({ side }) => side));
    change(item.id, {
      sides: homeSides(entry)
        .filter((side) => sides.includes(side))
        .map((side) => item.sides.find((each) => each.side === side) ?? { side, times }),
      ...(asShelf ? { how: said(sides) } : {}),
    });
  }
  function takeOff(id: string): void {
    const at = sheet.value.items.findIndex((item) => item.id === id);
    const item = sheet.value.items[at];
    if (!item) return;
    write(sheet.value.items.filter((each) => each.id !== id));
    taken.value = { item, at };
  }
  function putBack(): void {
    const { item, at } = taken.value!;
    write([...sheet.value.items.slice(0, at), item, ...sheet.value.items.slice(at)]);
  }
  function move(id: string, by: -1 | 1): void {
    const items = [...sheet.value.items];
    const at = items.findIndex((item) => item.id === id);
    const [item] = items.splice(at, 1);
    if (!item || at + by < 0 || at + by > items.length) return;
    items.splice(at + by, 0, item);
    write(items);
  }

  return { sheet, day, canGive, offers, judged, isFull, until, taken, give, giveLastAgain, change, setSides, takeOff, putBack, move };
}
