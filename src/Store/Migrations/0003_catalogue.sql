-- What the columns of a kind of table mean, told once.
create table column_map (
    signature text primary key,
    columns text not null,
    units text,
    at text not null
) without rowid;

-- Pictures of boards and blocks, beside the documents.
create table catalogue_picture (
    id integer primary key,
    kind text not null check (kind in ('board', 'block')),
    of_id text not null,
    file text not null,
    media_type text not null,
    caption text,
    at text not null,
    unique (kind, of_id, file)
);
