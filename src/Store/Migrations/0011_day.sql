-- Who signs. Initials seen in the record stand for themselves until somebody gives them a name.
create table signer (
    initials text primary key,
    name text not null,
    colour text not null,
    works integer not null default 1,
    left_at text,
    at text not null
) without rowid;

-- The day: what was promised, whose job it is, what is to begin when. The last entry of each stands; nothing is overwritten.
create table job_promise (
    id integer primary key,
    job_id integer not null references job(id),
    due_at text,
    by_initials text not null,
    at text not null
);
create index job_promise_by_job on job_promise(job_id, id);

create table job_hands (
    id integer primary key,
    job_id integer not null references job(id),
    initials text,
    by_initials text not null,
    at text not null
);
create index job_hands_by_job on job_hands(job_id, id);

create table day_pin (
    id integer primary key,
    job_id integer not null references job(id),
    block_key text not null,
    start_at text,
    by_initials text not null,
    at text not null
);
create index day_pin_by_block on day_pin(job_id, block_key, id);

-- Keys that only this shop has: records are sealed with one.
create table shop_secret (
    name text primary key,
    value blob not null
) without rowid;

-- A note, photo, timer or reading sent again after the network dropped counts once.
create table sent_paper (
    client_key text primary key,
    kind text not null,
    job_id integer not null references job(id),
    paper_id integer not null
) without rowid;

-- Tablets of the shop's network: each with a key of its own, of which only the hash is here.
create table device (
    id integer primary key,
    name text not null,
    token_sha256 text not null unique,
    paired_at text not null,
    seen_at text,
    revoked_at text
);

-- Everything a job is found by, and the documents it is on.
create virtual table job_search using fts5(
    title, client, board, block, part, fault, signer, date, note,
    tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
create table job_document (
    document text not null,
    job_id integer not null references job(id),
    primary key (document, job_id)
) without rowid;

create index job_summary_open on job_summary(finished, job_id);

-- Entries of the bench index say more from now on: each is made anew once.
update job_summary set stamp = '';
