import type { Role } from '@pace-bend/core/access';
import { t } from '../words/opening.ts';

/** What somebody is in the practice, said on the page that opens first too: nothing else is to come with it. */
export const roleWords = (role: Role): string =>
  ({
    owner: t('owner'),
    therapist: t('therapist'),
    assistant: t('assistant'),
    coach: t('coach'),
  })[role];
