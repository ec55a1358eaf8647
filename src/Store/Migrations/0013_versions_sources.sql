-- Documents have versions: what stood before the present one is kept, and none is lost by replacing.
alter table board add column version integer not null default 1;
alter table block add column version integer not null default 1;
alter table card add column version integer not null default 1;
alter table socket add column version integer not null default 1;
alter table machine add column version integer not null default 1;
alter table board add column by_initials text;
alter table block add column by_initials text;
alter table card add column by_initials text;
alter table socket add column by_initials text;
alter table machine add column by_initials text;
create table document_version (
    kind text not null, id text not null, version integer not null,
    document blob not null, digest text not null,
    by_initials text, at text not null,
    primary key (kind, id, version)
) without rowid;

-- What is archived is shown only where somebody asks for it.
alter table board add column archived_at text;
alter table block add column archived_at text;
alter table card add column archived_at text;
alter table socket add column archived_at text;
alter table machine add column archived_at text;
alter table job add column archived_at text;

-- Where a figure comes from, and under which conditions it was read. JSON.
alter table reading add column source text;
alter table reading add column conditions text;
alter table job_log add column source text;
alter table photo add column source text;

-- A leak test by hand or by water has no air volume and no samples; null where nothing was read.
create table leak_test_now (
    id integer primary key,
    job_id integer not null references job(id),
    method text not null default 'air',
    verdict text not null,
    leak_ml_min real, low_ml_min real, high_ml_min real, limit_ml_min real,
    volume_ml real, duration_s real,
    place text,
    samples text not null,
    source text,
    by_initials text not null,
    at text not null
);
insert into leak_test_now (id, job_id, verdict, leak_ml_min, low_ml_min, high_ml_min, limit_ml_min, volume_ml,
    duration_s, place, samples, by_initials, at)
select id, job_id, verdict, leak_ml_min, low_ml_min, high_ml_min, limit_ml_min, volume_ml,
    duration_s, place, samples, by_initials, at from leak_test;
drop table leak_test;
alter table leak_test_now rename to leak_test;
create index leak_test_by_job on leak_test(job_id);

-- What was typed was read by hand; what came out of a log came with that log's file. Leak tests were watched on the
-- stand-in gauge: nothing else could be connected.
update reading set source = '{"kind":"by-hand"}' where log_id is null;
update reading set source = '{"kind":"file"}' where log_id is not null;
update job_log set source = json_object('kind', 'file', 'file', name);
update photo set source = '{"kind":"by-hand"}';
update leak_test set source = '{"kind":"simulated"}';
