-- Cards: several boards in one document.
create table card (
    id text primary key,
    maker text not null, model text not null, board_code text not null, revision text not null, kind text not null,
    document blob not null,
    digest text not null,
    kept_at text not null
) without rowid;

-- A job is about an order: one board, or a card, or several boards; blocks laid on them. The plain case stays as it was.
create table job_new (
    id integer primary key,
    title text not null,
    client text,
    bench text not null,
    board_id text references board(id),
    block_id text references block(id),
    card_id text references card(id),
    work text,
    paste_id text,
    pad_choices text not null default '[]',
    version integer not null default 1,
    opened_by text not null,
    opened_at text not null,
    check (board_id is not null or card_id is not null)
);
insert into job_new (id, title, client, bench, board_id, block_id, paste_id, pad_choices, version, opened_by, opened_at)
    select id, title, client, bench, board_id, block_id, paste_id, pad_choices, version, opened_by, opened_at from job;
drop table job;
alter table job_new rename to job;

-- Steps of the way back belong to Care.
update step_event set step_id = 'care.restore-' || substr(step_id, 9) where step_id like 'restore.%';
update note set step_id = 'care.restore-' || substr(step_id, 9) where step_id like 'restore.%';
update photo set step_id = 'care.restore-' || substr(step_id, 9) where step_id like 'restore.%';
update timer set step_id = 'care.restore-' || substr(step_id, 9) where step_id like 'restore.%';

-- A begun cut plan stands as long as one of its cuts is signed; what was taken back whole is no longer begun.
delete from job_sheet where kind = 'cutting' and not exists (
    select 1 from step_event e where e.job_id = job_sheet.job_id and e.step_id like 'pads.cut-%' and e.kind = 'done'
        and e.id = (select max(x.id) from step_event x where x.job_id = e.job_id and x.step_id = e.step_id));

-- What was signed: title, figures and the documents it rests on. Sign-offs from before are tied to what the job holds now, and say so.
alter table step_event add column signed text;
update step_event set signed = (
    select json_object('tiedLater', json('true'), 'documents', json_array(
        json_object('role', 'board', 'key', 'A', 'id', b.id, 'digest', b.digest),
        json_object('role', 'block', 'key', 'P', 'id', k.id, 'digest', k.digest)))
    from job j join board b on b.id = j.board_id join block k on k.id = j.block_id where j.id = step_event.job_id)
where kind = 'done' and exists (select 1 from job j where j.id = step_event.job_id and j.block_id is not null);
update step_event set signed = (
    select json_object('tiedLater', json('true'), 'documents', json_array(
        json_object('role', 'board', 'key', 'A', 'id', b.id, 'digest', b.digest)))
    from job j join board b on b.id = j.board_id where j.id = step_event.job_id)
where kind = 'done' and signed is null;

-- A finished job reads for ever as it was signed.
create table job_record (
    job_id integer primary key references job(id),
    content text not null,
    at text not null
);

-- What the bench index shows of each job, with the state of everything it was made from.
create table job_summary (
    job_id integer primary key references job(id),
    stamp text not null,
    content text not null,
    finished integer not null
);

alter table reading add column board text;
