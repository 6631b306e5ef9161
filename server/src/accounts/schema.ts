import Joi from 'joi';
import { checkLogin, checkPassword, ROLES, type AccountFields } from '@pace-bend/core/access';
import { LIMITS } from '@pace-bend/core/record';
import { IANAZone } from 'luxon';
import { idSchema } from '../http/ids.ts';
import { oneLine } from '../http/text.ts';

const name = oneLine().trim(true).min(1).max(LIMITS.nameLength).required().label('Name');
const login = Joi.string()
  .required()
  .label('Sign-in name')
  .custom((value: string, helpers) => {
    const message = checkLogin(value);
    return message ? helpers.message({ custom: message }) : value;
  });
const password = Joi.string().max(1000).label('Password');

/** A zone that the program knows, as browsers name it. */
export const timeZoneSchema = Joi.string()
  .max(64)
  .label('Time zone')
  .custom((value: string, helpers) => (IANAZone.isValidZone(value) ? value : helpers.message({ custom: 'No such time zone is known.' })));

/** A password is looked at beside the sign-in name it must not hold. */
const soundPassword = <T extends { readonly login: string; readonly password?: string | null }>(sent: T, helpers: Joi.CustomHelpers<T>) => {
  const message = sent.password ? checkPassword(sent.password, sent.login) : null;
  return message ? helpers.message({ custom: message }) : sent;
};

export const signInSchema = Joi.object<{ login: string; password: string }, true>({
  login: Joi.string().max(200).required().label('Sign-in name'),
  password: password.required(),
});

export const firstOwnerSchema = Joi.object<
  { practiceName: string; name: string; login: string; password: string; timeZone?: string },
  true
>({
  practiceName: oneLine().trim(true).min(1).max(LIMITS.nameLength).required().label('Practice'),
  name,
  login,
  password: password.required(),
  timeZone: timeZoneSchema.optional(),
}).custom(soundPassword);

export type SentAccount = Omit<AccountFields, 'squadIds'> & {
  readonly squadIds: string[];
  readonly password: string | null;
  readonly revision: number;
};

/** Revision 0 makes a new account, which needs a password; later a password is sent only to set another. */
export const accountSchema = Joi.object<SentAccount, true>({
  revision: Joi.number().integer().min(0).required(),
  name,
  login,
  role: Joi.string()
    .valid(...ROLES)
    .required()
    .label('Role'),
  active: Joi.boolean().required().label('Active'),
  squadIds: Joi.array().items(idSchema).max(50).required().label('Squads'),
  password: password.allow(null).required(),
}).custom((sent: SentAccount, helpers) =>
  sent.revision === 0 && !sent.password ? helpers.message({ custom: 'A new account needs a password' }) : soundPassword(sent, helpers),
);

export const passwordSchema = Joi.object<{ current: string; password: string }, true>({
  current: password.required(),
  password: password.required().label('New password'),
});
