-- The shop as its records name it; nothing is overwritten, the last row stands.
create table shop_card (
    id integer primary key,
    name text not null,
    contact text not null,
    mark blob,
    mark_type text,
    by_initials text not null,
    at text not null
);
