-- Where the shop's other tools are told what happened. The last target stands.
create table event_target (
    id integer primary key,
    address text not null,
    kinds text not null,
    is_open integer not null,
    since text not null,
    by_initials text not null,
    at text not null
);

-- What is told, as it is sent. One thing is told once: kind and subject say which it was.
create table shop_event (
    id integer primary key,
    kind text not null,
    subject text not null,
    body text not null,
    at text not null,
    tries integer not null default 0,
    next_at text,
    delivered_at text,
    answer text,
    unique (kind, subject)
);
create index shop_event_by_next on shop_event(next_at) where next_at is not null;

-- What runs short and was told; a row goes when there is enough again.
create table event_low (item text primary key);
