-- Machines: several cards in their slots, and the links between them.
create table machine (
    id text primary key,
    maker text not null, model text not null, kind text not null,
    document blob not null,
    digest text not null,
    kept_at text not null
) without rowid;

-- What the benches show of a job names its kind now: every line is made again.
delete from job_summary;
