-- What a site keeps for its jobs, by kind: its supplies, and books of prices (energy, carbon, parts, labour).

alter table supplies rename to site_records;
alter table site_records add column kind text not null default 'supply' check (kind in ('supply', 'prices'));
alter table site_records drop constraint supplies_site_id_name_key;
alter table site_records add unique (site_id, kind, name);
