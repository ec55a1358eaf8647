-- Logs of a bench: what was read many times a second, packed; and what the columns of a logger's files are.
create table job_log (
    id integer primary key,
    job_id integer not null references job(id),
    board text,
    phase text not null,
    name text not null,
    samples integer not null,
    duration_s real not null,
    content blob not null,
    by_initials text not null,
    at text not null,
    struck_at text
);
create index job_log_by_job on job_log(job_id);

create table log_map (
    signature text primary key,
    columns text not null,
    at text not null
) without rowid;

-- Leak tests: what was told, and the place of a leak where one was found.
create table leak_test (
    id integer primary key,
    job_id integer not null references job(id),
    verdict text not null,
    leak_ml_min real not null,
    low_ml_min real not null,
    high_ml_min real not null,
    limit_ml_min real not null,
    volume_ml real not null,
    duration_s real not null,
    place text,
    samples text not null,
    by_initials text not null,
    at text not null
);
create index leak_test_by_job on leak_test(job_id);

-- A reading may show the warmest power stage, come out of a log, and have been taken on another day than it was written down.
alter table reading add column power_stage_c real;
alter table reading add column log_id integer;
