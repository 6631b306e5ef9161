import { pipeline } from 'node:stream/promises';
import type { Response } from 'express';
import { noted } from './guard.ts';

/**
 * Sends a stream once it stands in the audit who takes it out, and begins it only then: until it is sent nobody would hear that it failed.
 * A caller who goes away before its end has what came until then, and nothing is wrong. Where the stream fails, the answer breaks off.
 */
export async function sent(begin: () => NodeJS.ReadableStream, response: Response): Promise<void> {
  await noted(response);
  await pipeline(begin(), response).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
  });
}
