-- Working defaults that the shop changed; every change is kept with its reason.
create table setting_change (
    id integer primary key,
    key text not null,
    value real,
    reason text not null,
    by_initials text not null,
    at text not null
);
create index setting_change_by_key on setting_change(key, id);
