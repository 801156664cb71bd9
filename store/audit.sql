-- Who did what, kept for good: made by another role than the application's, which may write here and read, and neither change nor remove
-- what stands. What is inserted says who, what and about whom by ids alone; when, the database says itself. Run again it changes nothing.
-- Where the project does not run its own cluster: psql -v app=ROLE_OF_THE_APPLICATION -f store/audit.sql, as another role.
CREATE SCHEMA IF NOT EXISTS kept;
CREATE TABLE IF NOT EXISTS kept.audit (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  gym_id uuid NOT NULL,
  account_id bigint NOT NULL,
  action text NOT NULL CONSTRAINT audit_action_form CHECK (action ~ '^[a-z_]{1,60}$'),
  subject uuid
);
CREATE INDEX IF NOT EXISTS audit_of_gym ON kept.audit (gym_id, id);
CREATE INDEX IF NOT EXISTS audit_of_subject ON kept.audit (subject, id);
CREATE OR REPLACE FUNCTION kept.stays() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RAISE EXCEPTION 'the audit trail is only added to'; END $$;
CREATE OR REPLACE TRIGGER audit_stays BEFORE UPDATE OR DELETE OR TRUNCATE ON kept.audit FOR EACH STATEMENT EXECUTE FUNCTION kept.stays();
REVOKE ALL ON SCHEMA kept FROM PUBLIC;
REVOKE ALL ON kept.audit FROM :"app";
GRANT USAGE ON SCHEMA kept TO :"app";
GRANT SELECT ON kept.audit TO :"app";
-- A copy of the database asks where the numbers stand.
GRANT SELECT ON SEQUENCE kept.audit_id_seq TO :"app";
GRANT INSERT (gym_id, account_id, action, subject) ON kept.audit TO :"app";
