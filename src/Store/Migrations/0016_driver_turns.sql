-- Turns of a torque driver, as they were made: samples are angle and torque, JSON.
create table driver_turn (
    id integer primary key,
    job_id integer not null references job(id),
    step_id text not null,
    hole text not null,
    state text not null,
    angle_deg real not null, torque_nm real not null,
    target_deg real not null, target_nm real not null,
    samples text not null,
    digest text not null,
    source text not null,
    by_initials text not null,
    at text not null
);
create index driver_turn_by_job on driver_turn(job_id);
