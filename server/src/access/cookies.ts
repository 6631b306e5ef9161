import { parse, serialize } from 'cookie';
import type { Request, Response } from 'express';
import { ABSOLUTE_MS } from './sessions.ts';

const SESSION = 'pace_bend';
const DEVICE = 'pace_bend_device';
const DEVICE_AGE_S = 400 * 24 * 3600;

/** Out of reach of scripts and of other sites; over TLS only where the program is served with it. */
const options = (response: Response) =>
  ({ httpOnly: true, sameSite: 'strict', path: '/', secure: response.app.get('served securely') === true }) as const;

export function sessionToken(request: Request): string | null {
  return parse(request.headers.cookie ?? '')[SESSION] ?? null;
}

export function deviceToken(request: Request): string | null {
  return parse(request.headers.cookie ?? '')[DEVICE] ?? null;
}

export function setSession(response: Response, token: string): void {
  response.append('Set-Cookie', serialize(SESSION, token, { ...options(response), maxAge: ABSOLUTE_MS / 1000 }));
}

export function clearSession(response: Response): void {
  response.append('Set-Cookie', serialize(SESSION, '', { ...options(response), maxAge: 0 }));
}

export function setDevice(response: Response, token: string): void {
  response.append('Set-Cookie', serialize(DEVICE, token, { ...options(response), maxAge: DEVICE_AGE_S }));
}
