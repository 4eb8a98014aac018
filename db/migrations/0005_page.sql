-- What the screens of a job bring of its result, as text nobody reads on the way; without it (older rows) it is solved afresh.

alter table job_revisions
  add column page text,
  add column page_details jsonb;
