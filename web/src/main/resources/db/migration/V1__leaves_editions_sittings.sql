create table account (
    id            uuid primary key,
    name          text        not null,
    mail          text        not null unique,
    password_hash text        not null,
    created_at    timestamptz not null
);

create table leaf (
    id             uuid primary key,
    owner_id       uuid        not null references account,
    file_name      text        not null,
    state          text        not null,
    problem        text        not null default '',
    title          text        not null default '',
    question_count int         not null default 0,
    keyed_count    int         not null default 0,
    snag_count     int         not null default 0,
    spine          text        not null default '',
    source         jsonb,
    created_at     timestamptz not null,
    touched_at     timestamptz not null
);
create index leaf_of_owner on leaf (owner_id, touched_at desc);

create table source_file (
    leaf_id uuid primary key references leaf,
    bytes   bytea not null
);

create table figure (
    leaf_id     uuid  not null references leaf,
    id          text  not null,
    media_type  text  not null,
    alternative text  not null,
    bytes       bytea not null,
    primary key (leaf_id, id)
);

-- Decisions are only ever added; undoing one adds another.
create table decision (
    leaf_id   uuid        not null references leaf,
    seq       int         not null,
    content   jsonb       not null,
    author_id uuid        not null references account,
    made_at   timestamptz not null,
    primary key (leaf_id, seq)
);

create table edition (
    id           uuid primary key,
    leaf_id      uuid        not null references leaf,
    number       int         not null,
    quiz         jsonb       not null,
    digest       text        not null,
    published_at timestamptz not null,
    unique (leaf_id, number)
);

create table sitting (
    id         uuid primary key,
    edition_id uuid        not null references edition,
    owner_id   uuid        not null references account,
    code       text        not null unique,
    opened_at  timestamptz not null,
    closed_at  timestamptz
);

create table script (
    id          uuid primary key,
    sitting_id  uuid        not null references sitting,
    candidate   text        not null,
    token_hash  text        not null unique,
    begun_at    timestamptz not null,
    handed_in_at timestamptz
);
create index script_of_sitting on script (sitting_id, begun_at);

-- Answers are only ever added; the latest of a question counts.
create table answer (
    id          bigint generated always as identity primary key,
    script_id   uuid        not null references script,
    question_id text        not null,
    response    jsonb       not null,
    given_at    timestamptz not null
);
create index answer_of_script on answer (script_id, id);
