import { parse, serialize } from 'cookie';
import type { Request, Response } from 'express';
import { ABSOLUTE_MS } from './sessions.ts';

const SESSION = 'pace_bend';
const DEVICE = 'pace_bend_device';
const DEVICE_AGE_S = 400 * 24 * 3600;

/** Out of reach of scripts and of other sites. Not `secure`: the program is served on this machine without TLS. */
const OPTIONS = { httpOnly: true, sameSite: 'strict', path: '/' } as const;

export function sessionToken(request: Request): string | null {
  return parse(request.headers.cookie ?? '')[SESSION] ?? null;
}

export function deviceToken(request: Request): string | null {
  return parse(request.headers.cookie ?? '')[DEVICE] ?? null;
}

export function setSession(response: Response, token: string): void {
  response.append('Set-Cookie', serialize(SESSION, token, { ...OPTIONS, maxAge: ABSOLUTE_MS / 1000 }));
}

export function clearSession(response: Response): void {
  response.append('Set-Cookie', serialize(SESSION, '', { ...OPTIONS, maxAge: 0 }));
}

export function setDevice(response: Response, token: string): void {
  response.append('Set-Cookie', serialize(DEVICE, token, { ...OPTIONS, maxAge: DEVICE_AGE_S }));
}
