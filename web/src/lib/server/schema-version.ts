/** The newest migration this build knows, counted when it was built. */
export const SCHEMA_VERSION = Object.keys(import.meta.glob('../../../../db/migrations/*.sql')).length;
