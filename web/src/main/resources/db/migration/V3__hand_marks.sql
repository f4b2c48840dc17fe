-- Marks given by a person; they are only ever added, the latest of a script's question counts.
create table hand_mark (
    id          bigint generated always as identity primary key,
    script_id   uuid          not null references script,
    question_id text          not null,
    points      numeric(7, 2) not null,
    note        text          not null default '',
    author_id   uuid          not null references account,
    given_at    timestamptz   not null
);
create index hand_mark_of_script on hand_mark (script_id, id);
