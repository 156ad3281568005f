export * from './projection';
export * from './painted-cup';
