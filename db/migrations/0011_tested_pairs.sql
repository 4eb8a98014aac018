-- What a catalogue has as tested together: device, contactor and relay.
alter table catalogues add column pairs jsonb not null default '[]';
