import {
  CompiledQuery,
  SqliteAdapter,
  SqliteDialect,
  SqliteDriver,
  type DatabaseConnection,
  type SqliteDialectConfig,
} from 'kysely';
import { isUnderWay } from './under-way';

/** SQLite can undo its own `create table`, so that an upgrade is one transaction: all of it or nothing. */
class WholeUpgrades extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

/**
 * A transaction that begins by taking the right to write waits for another writer; one that reads
 * first and then wants to write is refused at once, however long it would wait.
 */
class ImmediateDriver extends SqliteDriver {
  /** There is one connection: who holds it in a transaction and asks for another would wait for ever, and everybody behind them. */
  override acquireConnection(): Promise<DatabaseConnection> {
    if (isUnderWay())
      return Promise.reject(new Error('Asked beside its own transaction: ask the store that the transaction gave.'));
    return super.acquireConnection();
  }

  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    await connection.executeQuery(CompiledQuery.raw('begin immediate'));
  }

  /** A full disk makes SQLite roll back by itself: what went wrong must not be hidden by there being nothing left to undo. */
  override async rollbackTransaction(connection: DatabaseConnection): Promise<void> {
    try {
      await super.rollbackTransaction(connection);
    } catch (error) {
      if (!(error instanceof Error && error.message.includes('no transaction is active'))) throw error;
    }
  }
}

export class ImmediateDialect extends SqliteDialect {
  constructor(private readonly settings: SqliteDialectConfig) {
    super(settings);
  }
  override createAdapter(): SqliteAdapter {
    return new WholeUpgrades();
  }
  override createDriver(): SqliteDriver {
    return new ImmediateDriver(this.settings);
  }
}
