-- Sockets that processors sit in.
create table socket (
    id text primary key,
    maker text not null, model text not null, kind text not null,
    document blob not null,
    digest text not null,
    kept_at text not null
) without rowid;
