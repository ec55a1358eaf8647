-- Sheets of a job beside its sign-offs: the cut plan once begun, stock pads as found, ways chosen and so on. One of a kind a job.
create table job_sheet (
    job_id integer not null references job(id),
    kind text not null,
    content text not null,
    version integer not null default 1,
    by_initials text not null,
    at text not null,
    primary key (job_id, kind)
) without rowid;

create table job_sheet_event (
    id integer primary key,
    job_id integer not null references job(id),
    kind text not null,
    content text not null,
    by_initials text not null,
    at text not null
);
