import {
  CompiledQuery,
  SqliteAdapter,
  SqliteDialect,
  SqliteDriver,
  type DatabaseConnection,
  type SqliteDialectConfig,
} from 'kysely';

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
  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    await connection.executeQuery(CompiledQuery.raw('begin immediate'));
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
