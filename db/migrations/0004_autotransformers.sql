-- Autotransformers are parts of a starter like any other.
alter table catalogue_items drop constraint catalogue_items_kind_check;
alter table catalogue_items add constraint catalogue_items_kind_check
  check (kind in ('motor', 'drive', 'contactor', 'overload relay', 'breaker', 'soft starter', 'autotransformer'));
