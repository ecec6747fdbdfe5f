import type { Payload, CommandName } from '../../contract/commands.ts';
import type { JarAnswer } from '../../core/index.ts';
import type { Db, Reader } from '../db.ts';
import type { Change } from '../events.ts';

/** What a service knows of the command it answers. */
export type Call = {
  db: Reader;
  commandId: string;
  /** When it happened, ms UTC, by the corrected clock of the device. */
  at: number;
  /** The server's time, ms UTC. */
  now: number;
  /** The device it was made on, if it said so. */
  device?: string;
  /** What was worked out before the transaction began: an estimate takes a second, and no write may wait for it. */
  answer?: JarAnswer;
};

/** A service reads what is there, checks what is asked, and answers with the rows to write. */
export type Service<N extends CommandName> = (call: Call, payload: Payload<N>) => Promise<Change>;

/** A service with work that is done before the transaction begins. */
export type Prepared<N extends CommandName> = {
  prepare: (db: Db, payload: Payload<N>) => Promise<Call['answer']>;
  apply: Service<N>;
};

/** The service of each command. */
export type Services = { [N in CommandName]: Service<N> | Prepared<N> };
