-- Sites, their supplies, jobs with every saved revision, and catalogues.

create table sites (
  id uuid primary key default gen_random_uuid(),
  name text not null unique check (length(name) between 1 and 120),
  school text not null check (school in ('NEMA', 'IEC')),
  paper text not null check (paper in ('letter', 'a4')),
  currency text not null check (length(currency) = 3)
);

create table supplies (
  id uuid primary key default gen_random_uuid(),
  site_id uuid not null references sites on delete cascade,
  name text not null check (length(name) between 1 and 120),
  -- The supply part of a job document, as typed.
  document jsonb not null,
  unique (site_id, name)
);

create table jobs (
  id uuid primary key default gen_random_uuid(),
  site_id uuid references sites on delete set null,
  tag text not null default '',
  title text not null default '',
  -- Taken from the newest solution, so that lists need not solve: stopped, open or ready.
  state text not null check (state in ('stopped', 'open', 'ready')),
  decision text not null default '',
  revision integer not null check (revision > 0),
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now()
);

create index jobs_by_change on jobs (updated_at desc);

-- Never updated, never deleted while the job lives: what was typed, by which engine it was solved, and the result.
create table job_revisions (
  job_id uuid not null references jobs on delete cascade,
  revision integer not null,
  document jsonb not null,
  engine text not null,
  result jsonb not null,
  saved_at timestamptz not null default now(),
  primary key (job_id, revision)
);

create table catalogues (
  id uuid primary key default gen_random_uuid(),
  name text not null unique,
  currency text not null,
  loaded_at timestamptz not null default now()
);

-- One row an item. Columns that are searched are typed; the whole item stands beside them.
create table catalogue_items (
  catalogue_id uuid not null references catalogues on delete cascade,
  item_id text not null,
  kind text not null check (kind in ('motor', 'drive', 'contactor', 'overload relay', 'breaker', 'soft starter')),
  name text not null,
  maker text not null,
  power_w double precision,
  poles smallint,
  current_a double precision,
  price numeric(12, 2) not null,
  document jsonb not null,
  primary key (catalogue_id, item_id)
);

create index catalogue_items_by_size on catalogue_items (kind, power_w, poles);
