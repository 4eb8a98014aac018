-- What stands beside a drive is priced like any other part.
alter table catalogue_items drop constraint catalogue_items_kind_check;
alter table catalogue_items add constraint catalogue_items_kind_check
  check (kind in ('motor', 'drive', 'contactor', 'overload relay', 'breaker', 'soft starter', 'autotransformer',
    'line choke', 'passive filter', 'output reactor', 'dV/dt filter', 'sine filter', 'brake resistor', 'shaft ring'));
