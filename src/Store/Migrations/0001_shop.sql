create table board (
    id text primary key,
    maker text not null, model text not null, board_code text not null, revision text not null, kind text not null,
    document blob not null,
    digest text not null,
    kept_at text not null
) without rowid;

create table block (
    id text primary key,
    maker text not null, model text not null, kind text not null,
    document blob not null,
    digest text not null,
    kept_at text not null
) without rowid;

create table job (
    id integer primary key,
    title text not null,
    client text,
    bench text not null,
    board_id text not null references board(id),
    block_id text references block(id),
    paste_id text,
    pad_choices text not null default '[]',
    version integer not null default 1,
    opened_by text not null,
    opened_at text not null
);

-- Sign-offs are only ever added: an undo is a row of its own.
create table step_event (
    id integer primary key,
    job_id integer not null references job(id),
    step_id text not null,
    kind text not null check (kind in ('done', 'undone')),
    by_initials text not null,
    at text not null,
    count integer,
    override_reason text
);
create index step_event_by_job on step_event(job_id, step_id, id);

create table reading (
    id integer primary key,
    job_id integer not null references job(id),
    phase text not null,
    room_c real not null, coolant_c real, die_c real not null, hotspot_c real, memory_c real,
    power_w real not null, flow_l_min real,
    note text,
    by_initials text not null,
    at text not null,
    struck_at text
);

create table note (
    id integer primary key,
    job_id integer not null references job(id),
    step_id text,
    text text not null,
    by_initials text not null,
    at text not null
);

create table photo (
    id integer primary key,
    job_id integer not null references job(id),
    step_id text,
    file text not null,
    media_type text not null,
    bytes integer not null,
    by_initials text not null,
    at text not null
);

create table timer (
    id integer primary key,
    job_id integer not null references job(id),
    step_id text not null,
    label text not null,
    started_at text not null,
    seconds integer not null,
    stopped_at text
);

create table drawer_item (
    kind text not null,
    id text not null,
    content text not null,
    version integer not null default 1,
    primary key (kind, id)
) without rowid;

create table drawer_event (
    id integer primary key,
    kind text not null,
    item_id text not null,
    content text,
    at text not null
);
