-- Motor-protective breakers are overload relay and short-circuit device in one.
alter table catalogue_items drop constraint catalogue_items_kind_check;
alter table catalogue_items add constraint catalogue_items_kind_check
  check (kind in ('motor', 'drive', 'contactor', 'overload relay', 'breaker', 'motor breaker', 'soft starter',
    'autotransformer', 'line choke', 'passive filter', 'output reactor', 'dV/dt filter', 'sine filter', 'brake resistor',
    'shaft ring'));
