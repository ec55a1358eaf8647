-- A sign-off sent again after the network dropped counts once; it also says when it was done at the bench.
alter table step_event add column client_key text;
alter table step_event add column done_at text;
create unique index step_event_by_key on step_event(client_key) where client_key is not null;

-- Photos pinned to a place on the board.
alter table photo add column x_mm real;
alter table photo add column y_mm real;
alter table photo add column face text;
