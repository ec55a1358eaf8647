create table trace (
    id integer primary key,
    file text not null,
    media_type text not null,
    width_px integer not null,
    height_px integer not null,
    state text not null,
    version integer not null default 1,
    by_initials text not null,
    at text not null
);
