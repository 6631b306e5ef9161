import { Application } from './application.ts';

/** One application with the demo's data, on an empty data directory, for all tests that do not need their own. */
export default async function globalSetup(): Promise<() => Promise<void>> {
  const application = await Application.onEmptyFolder();
  await application.start();
  process.env.APPLICATION_URL = application.url;
  return () => application.stop();
}
