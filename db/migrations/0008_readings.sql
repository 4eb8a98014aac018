-- What was measured on a motor against its plate, read off when stored: above 1 needs somebody.

alter table motors add column current_share double precision;

create index motors_above_plate on motors (current_share) where current_share > 1;
