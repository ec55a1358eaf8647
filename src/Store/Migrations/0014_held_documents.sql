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
