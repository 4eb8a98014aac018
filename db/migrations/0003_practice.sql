-- Rules of thumb of a site, as typed, by their name in the job document; the defaults are not stored.

alter table sites add column practice jsonb not null default '{}';
