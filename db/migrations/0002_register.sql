-- The register: motors of a site with what their plates say, what happened to them, and their photographs.

create table motors (
  id uuid primary key default gen_random_uuid(),
  site text not null default '',
  tag text not null default '',
  location text not null default '',
  state text not null check (state in ('in service', 'spare', 'in repair', 'scrapped')),
  revision integer not null default 1 check (revision > 0),
  -- The motor as registeredMotorSchema describes it, plate as typed.
  document jsonb not null,
  -- Read off the plate when stored, so that lists need not read it again. SI.
  power_w double precision,
  poles smallint,
  speed double precision,
  frame_number text not null default '',
  plate_text text not null default '',
  -- Motors of one import, so that a cancelled one can be taken back.
  import_id uuid,
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now()
);

create index motors_by_size on motors (power_w, poles);

create table motor_photos (
  id uuid primary key default gen_random_uuid(),
  motor_id uuid not null references motors on delete cascade,
  type text not null check (type in ('image/jpeg', 'image/png', 'image/webp')),
  width integer not null check (width > 0),
  height integer not null check (height > 0),
  content bytea not null check (length(content) <= 8000000),
  added_at timestamptz not null default now()
);

create index motor_photos_by_motor on motor_photos (motor_id);
