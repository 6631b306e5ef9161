import { pipeline } from 'node:stream/promises';
import type { Response } from 'express';
import { noted } from './guard.ts';

/** Sends a stream once it stands in the audit who takes it out; a caller who goes away before its end has what came until then, and nothing is wrong. */
export async function sent(stream: NodeJS.ReadableStream, response: Response): Promise<void> {
  await noted(response);
  await pipeline(stream, response).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
  });
}
