import { Application } from './application.ts';
import { startSharedDatabase } from './schemas.ts';

/** One application with the demo's data for all tests that do not need their own. */
export default async function globalSetup(): Promise<() => Promise<void>> {
  const stopDatabase = await startSharedDatabase();
  const application = await Application.onEmptySchema();
  await application.start();
  process.env.APPLICATION_URL = application.url;
  return async () => {
    await application.stop();
    await stopDatabase();
  };
}
