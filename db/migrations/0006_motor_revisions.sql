-- Earlier states of a motor, kept when a newer one is saved; a motor that was removed can be taken back.

create table motor_revisions (
  motor_id uuid not null references motors on delete cascade,
  revision integer not null,
  document jsonb not null,
  saved_at timestamptz not null,
  primary key (motor_id, revision)
);

alter table motors
  add column removed_at timestamptz;
