import type {
  Bundle,
  CodeableConcept,
  Condition,
  Encounter,
  FhirResource,
  Goal,
  Observation,
  Patient,
  QuestionnaireResponse,
} from 'fhir/r4';
import { findMotion, INSTRUMENTS } from '../body/index.ts';
import { CONDITIONS } from '../caution/index.ts';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type ArchiveFile, type ArchiveRow, type ArchiveTables } from '../exchange/index.ts';
import { summariseTrials } from '../measure/index.ts';
import { SCALES } from '../readiness/index.ts';
import { isDay, LIMITS } from '../record/index.ts';
import { derivedId, own } from './ids.ts';

/** What of a bundle is not read in, and why. */
export interface NotUnderstood {
  readonly what: string;
  readonly why: string;
  readonly count: number;
}

/** A bundle as an archive of what was understood of it, with what was not. */
export interface FhirRead {
  readonly file: ArchiveFile;
  /** Columns by table that the bundle does not say, or says only in other words: they are written where a row is new, and not compared. */
  readonly derived: Readonly<Record<string, readonly string[]>>;
  readonly notUnderstood: readonly NotUnderstood[];
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
const DERIVED = {
  athlete: ['reference_sex', 'breath_period_ms'],
  visit: ['minutes', 'minutes_available', 'step', 'finished_at', 'cancelled_at', 'complaint'],
  athlete_condition: ['words', 'onset', 'region'],
  athlete_goal: ['set_at', 'why_words'],
  check_in: ['entered_by', 'sore'],
} as const;

/** Why what leaves as FHIR does not come in again, or comes in as nothing. */
const WHY = {
  patient: 'a name and a birth date are needed',
  condition: 'its code is none of this program’s',
  encounter: 'it says no begin, or whose it is does not stand here',
  observation: 'its code is no motion of this program, or it says no side, instrument or trials',
  goal: 'its target is no motion of this program',
  response: 'its questionnaire is none of this program’s',
  procedure: 'how work was counted at the table does not stand in it',
  plan: 'exercises stand in it in words only',
  other: 'it is no part of a record here',
} as const;

/**
 * Reads an HL7 FHIR R4 bundle as far as it is understood: who somebody is, their visits, readings, conditions, goals and check-ins. Codes of other
 * systems are not guessed at. Ids that are UUIDs are kept, so that what left here is known again; others have one derived from them.
 * @param takenOutAt the instant it is read, where the bundle has none
 * @example readFhir({}, '2026-11-29T10:00:00.000Z') // → 'This is no FHIR bundle.'
 */
export function readFhir(json: unknown, takenOutAt: string): FhirRead | string {
  const bundle = json as Bundle;
  if (typeof json !== 'object' || json === null || bundle.resourceType !== 'Bundle') return 'This is no FHIR bundle.';
  const entries = (Array.isArray(bundle.entry) ? bundle.entry : []).filter((entry) => typeof entry?.resource?.resourceType === 'string');
  const resources = entries.map(({ resource }) => resource!);
  if (resources.length === 0) return 'There is nothing in this bundle.';
  const reader = new Reader(entries.map(({ fullUrl, resource }) => [fullUrl, resource!] as const));
  for (const resource of resources) {
    try {
      reader.read(resource);
    } catch {
      // Whatever stands in a field's place.
      reader.leave(resource.resourceType, 'it cannot be read');
    }
  }
  if (reader.athletes.size === 0) return 'Nobody stands in this bundle with a name and a birth date.';
  const organization = resources.find((resource) => resource.resourceType === 'Organization');
  return {
    file: {
      format: ARCHIVE_FORMAT,
      version: ARCHIVE_VERSION,
      layout: 'FHIR R4',
      takenOutAt: typeof bundle.timestamp === 'string' ? bundle.timestamp : takenOutAt,
      practice: {
        id: idOf(organization?.id ?? 'nobody', 'Organization'),
        name: (organization?.name ?? '').slice(0, LIMITS.nameLength) || 'another health record',
      },
      accounts: [...reader.accounts].map(([id, name]) => ({ id, name, role: 'therapist' })),
      shared: {},
      athletes: [...reader.athletes.values()].map((tables) => ({ tables: tables as ArchiveTables })),
    },
    derived: DERIVED,
    notUnderstood: [...reader.left].map(([key, count]) => {
      const [what, why] = key.split('\n') as [string, string];
      return { what, why, count };
    }),
  };
}

const idOf = (id: string, type: string): string => (UUID.test(id) ? id : derivedId('fhir', type, id));
/** The code of this program's own in a concept. */
const codeOf = (concept: CodeableConcept | undefined, system: string): string | null =>
  concept?.coding?.find((coding) => coding.system === own(system))?.code ?? null;
const instant = (text: string | undefined): string | null =>
  text === undefined || Number.isNaN(Date.parse(text)) ? null : new Date(text).toISOString();
const day = (text: string | undefined): string | null => (text !== undefined && isDay(text.slice(0, 10)) ? text.slice(0, 10) : null);
const SIDES = ['left', 'right', 'midline'];

type Rows = Record<string, ArchiveRow[]>;

class Reader {
  readonly athletes = new Map<string, Rows>();
  readonly accounts = new Map<string, string>();
  readonly left = new Map<string, number>();
  private readonly byReference = new Map<string, FhirResource>();
  private readonly visits = new Set<string>();

  constructor(entries: readonly (readonly [string | undefined, FhirResource])[]) {
    for (const [fullUrl, resource] of entries) {
      if (fullUrl) this.byReference.set(fullUrl, resource);
      if (resource.id) this.byReference.set(`${resource.resourceType}/${resource.id}`, resource);
    }
    // People and visits first: the rest points at them, in whatever order it stands.
    for (const [, resource] of entries) if (resource.resourceType === 'Patient') this.guarded(resource, () => this.patient(resource));
    for (const [, resource] of entries) if (resource.resourceType === 'Encounter') this.guarded(resource, () => this.encounter(resource));
  }

  leave(what: string, why: string): void {
    const key = `${what}\n${why}`;
    this.left.set(key, (this.left.get(key) ?? 0) + 1);
  }

  read(resource: FhirResource): void {
    switch (resource.resourceType) {
      case 'Condition':
        return this.condition(resource);
      case 'Observation':
        return this.observation(resource);
      case 'Goal':
        return this.goal(resource);
      case 'QuestionnaireResponse':
        return this.response(resource);
      case 'Procedure':
        return this.leave('Procedure', WHY.procedure);
      case 'CarePlan':
        return this.leave('CarePlan', WHY.plan);
      // What others point at, and what was read already.
      case 'Patient':
      case 'Encounter':
      case 'Organization':
      case 'Practitioner':
      case 'Device':
        return;
      default:
        return this.leave(resource.resourceType, WHY.other);
    }
  }

  private guarded(resource: FhirResource, work: () => void): void {
    try {
      work();
    } catch {
      this.leave(resource.resourceType, 'it cannot be read');
    }
  }

  private referred<Type extends FhirResource['resourceType']>(
    reference: { readonly reference?: string } | undefined,
    type: Type,
  ): Extract<FhirResource, { resourceType: Type }> | null {
    const found = this.byReference.get(reference?.reference ?? '');
    return found?.resourceType === type ? (found as Extract<FhirResource, { resourceType: Type }>) : null;
  }

  private rowsOf(subject: { readonly reference?: string } | undefined): readonly [string, Rows] | null {
    const patient = this.referred(subject, 'Patient');
    const id = patient?.id === undefined ? null : idOf(patient.id, 'Patient');
    const rows = id === null ? undefined : this.athletes.get(id);
    return rows ? [id!, rows] : null;
  }

  private patient({ id, name, birthDate }: Patient): void {
    const [first] = name ?? [];
    const words = (first?.text ?? [...(first?.given ?? []), first?.family ?? ''].join(' ')).trim().slice(0, LIMITS.nameLength);
    if (id === undefined || words === '' || birthDate === undefined || !isDay(birthDate)) return this.leave('Patient', WHY.patient);
    const own = idOf(id, 'Patient');
    const athlete = { id: own, name: words, birth_date: birthDate, reference_sex: 'none', breath_period_ms: 10_000 };
    this.athletes.set(own, { athlete: [athlete], athlete_condition: [], athlete_goal: [], check_in: [], visit: [], rom_reading: [] });
  }

  private encounter({ id, status, subject, period, reasonCode }: Encounter): void {
    const whose = this.rowsOf(subject);
    const [start, end] = [instant(period?.start), instant(period?.end)];
    if (!whose || id === undefined || start === null) return this.leave('Encounter', WHY.encounter);
    const own = idOf(id, 'Encounter');
    const spent = end === null ? 60 : Math.round((Date.parse(end) - Date.parse(start)) / 60_000);
    const minutes = Math.min(LIMITS.visitMinutes.max, Math.max(LIMITS.visitMinutes.min, spent));
    const over = status === 'finished';
    this.visits.add(own);
    whose[1].visit!.push({
      id: own,
      athlete_id: whose[0],
      starts_at: start,
      minutes,
      minutes_available: minutes,
      step: over ? 'close' : 'arrive',
      finished_at: over ? (end ?? start) : null,
      cancelled_at: status === 'cancelled' ? start : null,
      complaint: (reasonCode ?? [])
        .map(({ text }) => text ?? '')
        .join('; ')
        .slice(0, LIMITS.complaintLength),
    });
  }

  private condition({ id, code, subject, bodySite, onsetDateTime, abatementDateTime, note }: Condition): void {
    const whose = this.rowsOf(subject);
    const facts = CONDITIONS.find((each) => each.code === codeOf(code, 'condition'));
    if (!whose || id === undefined || !facts) return this.leave('Condition', WHY.condition);
    const [region, side] = (codeOf(bodySite?.[0], 'region') ?? '').split('.') as [string, string | undefined];
    whose[1].athlete_condition!.push({
      id: idOf(id, 'Condition'),
      athlete_id: whose[0],
      code: facts.code,
      region: region === '' || region === facts.region ? null : region,
      side: side !== undefined && ['left', 'right', 'both'].includes(side) ? side : null,
      onset: day(onsetDateTime),
      resolved_on: day(abatementDateTime),
      words: (note ?? [])
        .map(({ text }) => text)
        .join(' ')
        .slice(0, LIMITS.textLength),
    });
  }

  private observation(observation: Observation): void {
    const { id, code, subject, encounter, effectiveDateTime, performer, valueQuantity, bodySite, method, device, component, status } =
      observation;
    const whose = this.rowsOf(subject);
    const motion = findMotion(codeOf(code, 'motion') ?? '');
    const visit = this.referred(encounter, 'Encounter');
    const visitId = visit?.id === undefined ? null : idOf(visit.id, 'Encounter');
    const side = bodySite === undefined ? 'midline' : codeOf(bodySite, 'side');
    const of = (part: string) => (component ?? []).filter((each) => codeOf(each.code, 'reading-part') === part);
    const moment = of('moment')[0]?.valueString;
    const mode = method?.text?.split(';')[0];
    const instrument = this.referred(device, 'Device')?.deviceName?.[0]?.name;
    const trials = of('trial').map((trial) => trial.valueQuantity?.value);
    const takenAt = instant(effectiveDateTime);
    const inUnit = [valueQuantity, ...of('trial').map((trial) => trial.valueQuantity)].every((quantity) => quantity?.code === motion?.unit);
    if (
      !whose ||
      id === undefined ||
      !motion ||
      visitId === null ||
      !this.visits.has(visitId) ||
      !whose[1].visit!.some((row) => row.id === visitId) ||
      takenAt === null ||
      !SIDES.includes(side ?? '') ||
      (moment !== 'before' && moment !== 'after') ||
      (mode !== 'passive' && mode !== 'active') ||
      !INSTRUMENTS.some((each) => each === instrument) ||
      trials.length === 0 ||
      !trials.every((trial): trial is number => Number.isFinite(trial)) ||
      !inUnit ||
      status === 'entered-in-error'
    )
      return this.leave('Observation', WHY.observation);
    whose[1].rom_reading!.push({
      id: idOf(id, 'Observation'),
      visit_id: visitId,
      motion_id: motion.id,
      side,
      moment,
      mode,
      instrument,
      trials,
      value: summariseTrials(trials).mean,
      taken_at: takenAt,
      ...this.examiner(performer?.[0]),
    });
  }

  private examiner(performer: { readonly reference?: string } | undefined): { readonly examiner_id?: string } {
    const practitioner = this.referred(performer, 'Practitioner');
    if (practitioner?.id === undefined) return {};
    const [first] = practitioner.name ?? [];
    const name = (first?.text ?? [...(first?.given ?? []), first?.family ?? ''].join(' ')).trim().slice(0, LIMITS.nameLength);
    if (name === '') return {};
    const id = idOf(practitioner.id, 'Practitioner');
    this.accounts.set(id, name);
    return { examiner_id: id };
  }

  private goal({ id, subject, target, startDate, description }: Goal): void {
    const whose = this.rowsOf(subject);
    const [first] = target ?? [];
    const motion = findMotion(codeOf(first?.measure, 'motion') ?? '');
    const value = first?.detailQuantity?.value;
    const setOn = day(startDate);
    if (!whose || id === undefined || !motion || !Number.isFinite(value) || first?.detailQuantity?.code !== motion.unit || setOn === null)
      return this.leave('Goal', WHY.goal);
    const words = description?.text ?? '';
    const side = SIDES.find((each) => words.includes(`, ${each}`)) ?? 'midline';
    whose[1].athlete_goal!.push({
      id: idOf(id, 'Goal'),
      athlete_id: whose[0],
      motion_id: motion.id,
      side,
      value,
      by_date: day(first?.dueDate),
      set_at: `${setOn}T12:00:00.000Z`,
      why_words: '',
    });
  }

  private response({ id, questionnaire, subject, authored, item }: QuestionnaireResponse): void {
    const whose = this.rowsOf(subject);
    const scale = SCALES.find((each) => questionnaire === own(`check-in:${each.id}`));
    const answer = (linkId: string) => item?.find((each) => each.linkId === linkId)?.answer?.[0];
    const onDate = day(answer('on-date')?.valueDate);
    const at = instant(authored);
    if (!whose || id === undefined || !scale || onDate === null || at === null) return this.leave('QuestionnaireResponse', WHY.response);
    whose[1].check_in!.push({
      id: idOf(id, 'QuestionnaireResponse'),
      athlete_id: whose[0],
      on_date: onDate,
      scale: scale.id,
      answers: Object.fromEntries(
        scale.items.flatMap(({ id: linkId }) => {
          const given = answer(linkId)?.valueInteger;
          return Number.isInteger(given) && given! >= scale.lowest && given! <= scale.highest ? [[linkId, given]] : [];
        }),
      ),
      hours_slept: answer('hours-slept')?.valueDecimal ?? null,
      ill: answer('ill')?.valueBoolean ?? null,
      injured: answer('injured')?.valueBoolean ?? null,
      travelled: answer('travelled')?.valueBoolean ?? null,
      training: answer('training')?.valueString ?? null,
      rmssd_ms: answer('rmssd')?.valueDecimal ?? null,
      entered_at: at,
      entered_by: 'as another record says',
    });
  }
}
