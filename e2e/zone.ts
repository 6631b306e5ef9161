/** The last two hours of a day are left to places where it has just begun: no test sees today become tomorrow. */
const LATE = 22;
const hourIn = (timeZone: string) => Number(new Intl.DateTimeFormat('en-GB', { hour: '2-digit', hourCycle: 'h23', timeZone }).format());

/** Where the tests are: a place whose day does not end while they run. Taken once for all processes of a run. */
export const ZONE = (process.env.TEST_ZONE ??= hourIn('Europe/Berlin') < LATE ? 'Europe/Berlin' : 'Asia/Tokyo');
