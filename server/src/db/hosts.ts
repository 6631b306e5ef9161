import mysql from 'mysql2/promise';
import { isLost } from './failures.ts';

/** What the program uses of a pool; one host's own pool is one, several hosts together are one. */
export interface Pool extends Pick<mysql.Pool, 'execute' | 'query' | 'getConnection' | 'end'> {
  /** Of several hosts: tells which connection failed, so that its host is passed over for a while. */
  failed?(connection: mysql.PoolConnection, error: unknown): void;
  /** How many hosts there are to turn to. */
  readonly hosts?: number;
}

/** So long a host that failed is passed over while another one answers. */
const REST_MS = 3000;
const CONNECT_MS = 4000;

const onePool = (uri: string): mysql.Pool =>
  mysql.createPool({
    uri,
    connectionLimit: 10,
    timezone: 'Z',
    dateStrings: ['DATE'],
    charset: 'utf8mb4',
    supportBigNumbers: true,
    connectTimeout: CONNECT_MS,
  });

/**
 * The URLs of the hosts that a database URL names, separated by commas.
 * @example hostUrls('mysql://u:p@10.0.0.1:3306,10.0.0.2:3306/pace_bend').length // → 2
 */
export function hostUrls(databaseUrl: string): string[] {
  const parts = /^([a-z]+:\/\/(?:[^@/]*@)?)([^/]+)(\/.*)?$/i.exec(databaseUrl);
  return parts
    ? parts[2]!
        .split(',')
        .filter(Boolean)
        .map((host) => `${parts[1]}${host}${parts[3] ?? ''}`)
    : [databaseUrl];
}

/**
 * Several hosts of one cluster as one pool. All questions go to the first host that answers, in the order they were named: with one
 * host written to, two servers seldom change the same row on two nodes at once. A host that fails is passed over for a
 * few seconds; whoever asked tries again and reaches the next.
 */
class Hosts implements Pool {
  private readonly pools: readonly mysql.Pool[];
  private readonly restUntil: number[];
  private readonly of = new WeakMap<object, number>();

  constructor(urls: readonly string[]) {
    this.pools = urls.map(onePool);
    this.restUntil = urls.map(() => 0);
  }

  get hosts(): number {
    return this.pools.length;
  }

  private pick(): number {
    const now = Date.now();
    const ready = this.restUntil.findIndex((until) => until <= now);
    return ready !== -1 ? ready : this.restUntil.indexOf(Math.min(...this.restUntil));
  }

  private async on<T>(ask: (pool: mysql.Pool, host: number) => Promise<T>): Promise<T> {
    const host = this.pick();
    try {
      return await ask(this.pools[host]!, host);
    } catch (error) {
      if (isLost(error)) this.restUntil[host] = Date.now() + REST_MS;
      throw error;
    }
  }

  execute = ((...args: Parameters<mysql.Pool['execute']>) => this.on((pool) => pool.execute(...args))) as mysql.Pool['execute'];
  query = ((...args: Parameters<mysql.Pool['query']>) => this.on((pool) => pool.query(...args))) as mysql.Pool['query'];

  getConnection(): Promise<mysql.PoolConnection> {
    return this.on(async (pool, host) => {
      const connection = await pool.getConnection();
      this.of.set(connection, host);
      return connection;
    });
  }

  failed(connection: mysql.PoolConnection, error: unknown): void {
    const host = this.of.get(connection);
    if (host !== undefined && isLost(error)) this.restUntil[host] = Date.now() + REST_MS;
  }

  async end(): Promise<void> {
    await Promise.all(this.pools.map((pool) => pool.end()));
  }
}

/** Opens a pool on a MariaDB URL, or on the hosts of a cluster that it names. Instants are read and written as UTC; calendar days stay strings. */
export function openPool(databaseUrl: string): Pool {
  const urls = hostUrls(databaseUrl);
  return urls.length === 1 ? onePool(urls[0]!) : new Hosts(urls);
}
