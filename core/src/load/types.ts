/** What is entered about one session of training. */
export interface LoadFields {
  /** Calendar day, `YYYY-MM-DD`. */
  readonly onDate: string;
  /** Id of a load kind of one of the athlete's sports; kept as it was when the sport no longer has it. */
  readonly kind: string;
  readonly minutes: number;
  /** How hard it was, 0–10; null for a planned session, or one nobody has rated. */
  readonly exertion: number | null;
  /** Metres, throws, contacts or lifts, as the kind counts; null for none. */
  readonly amount: number | null;
  /** Minutes after the end at which the rating was asked; null where nobody knows. */
  readonly askedAfterMin: number | null;
  /** Still to come: counted in no sum. */
  readonly planned: boolean;
}

export interface TrainingLoad extends LoadFields {
  readonly id: string;
  /** Who entered it: a name, the athlete, a file or a calendar. */
  readonly by: string;
  readonly at: string;
  readonly revision: number;
}

/** The load of one day; rest days have none. */
export interface DayLoad {
  readonly on: string;
  readonly load: number;
  readonly sessions: number;
  /** Sessions without a rating: the day's load is at least this. */
  readonly unrated: number;
}
