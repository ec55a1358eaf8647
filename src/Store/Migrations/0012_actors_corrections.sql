-- Everybody who ever signed or opened a job is known by name from now on; new initials are entered before they act.
insert or ignore into signer (initials, name, colour, works, at)
    select initials, '', 'ink', 1, strftime('%Y-%m-%dT%H:%M:%fZ', 'now')
    from (select by_initials as initials from step_event union select opened_by from job);

-- Who changed the drawer, and who started or stopped a timer.
alter table drawer_event add column by_initials text;
alter table timer add column by_initials text;

-- What the device's own clock said, beside the instant corrected by its measured offset.
alter table step_event add column device_at text;
alter table reading add column device_at text;
alter table note add column device_at text;
alter table photo add column device_at text;
alter table timer add column device_at text;

-- An instant that cannot be: before the job was opened, after it reached the workshop, or no instant at all.
update step_event set done_at = null
where done_at is not null and (
    done_at not like '____-__-__T__:__%' or julianday(done_at) is null
    or julianday(done_at) > julianday(at) + 1.0 / 24
    or julianday(done_at) < julianday((select opened_at from job j where j.id = job_id)) - 60);

-- What was corrected after a job was finished. Rows are only added.
create table correction (
    id integer primary key,
    job_id integer not null references job(id),
    kind text not null,
    subject integer,
    before text,
    after text,
    why text not null,
    by_initials text not null,
    at text not null
);
create index correction_by_job on correction(job_id, id);

-- What a key was first used for, so that it is good for nothing else.
alter table sent_paper add column content text;

-- Work on stored data that was done once.
create table upkeep (
    name text primary key,
    at text not null
) without rowid;
