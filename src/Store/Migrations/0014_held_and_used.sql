-- An open job rests on the version of a document that it was planned from: what was kept since is offered. No row
-- where it is the newest.
create table job_held_document (
    job_id integer not null references job(id),
    kind text not null,
    id text not null,
    version integer not null,
    primary key (job_id, kind, id)
) without rowid;

-- When somebody took a newer version for a job.
create table job_document_taken (
    row_id integer primary key,
    job_id integer not null references job(id),
    kind text not null,
    id text not null,
    from_version integer not null,
    to_version integer not null,
    by_initials text not null,
    at text not null
);
create index job_document_taken_by_job on job_document_taken(job_id);

-- A line of the drawer that is archived is planned with no more, and can be brought back.
alter table drawer_item add column archived_at text;

-- Which job a change of the drawer was for.
alter table drawer_event add column job_id integer references job(id);
create index drawer_event_by_job on drawer_event(job_id) where job_id is not null;
create index drawer_event_by_item on drawer_event(kind, item_id);
