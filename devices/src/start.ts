import { startDevices } from './devices.ts';

/** The stand-ins as a process of their own; says where they are and ends with whoever started it. */
const devices = await startDevices({ port: Number(process.env.DEVICES_PORT ?? 0) });
process.send?.({ ready: devices.url });
const stop = () => void devices.stop().finally(() => process.exit(0));
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
process.on('disconnect', stop);
