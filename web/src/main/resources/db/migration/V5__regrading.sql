-- Keys corrected after a sitting: which edition it is marked by since when, and what that changed. Only ever added.
create table regrade (
    id         bigint generated always as identity primary key,
    sitting_id uuid        not null references sitting,
    edition_id uuid        not null references edition,
    changes    text        not null,
    author_id  uuid        not null references account,
    made_at    timestamptz not null
);
create index regrade_of_sitting on regrade (sitting_id, id);
