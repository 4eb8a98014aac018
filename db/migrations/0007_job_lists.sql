-- Lists of jobs say what stands in the way of each. A job that is done with is archived; a removed one can be taken back.

alter table jobs
  add column concern text not null default '',
  add column archived_at timestamptz,
  add column removed_at timestamptz;
