-- How a sitting is given out: times, order, what is shown when. The application's own JSON; null is as before.
alter table sitting add column rules jsonb;
alter table sitting add column released_at timestamptz;

-- Who may sit, where a sitting is for a list of people; each has a code of their own.
create table candidate (
    id            uuid primary key,
    sitting_id    uuid not null references sitting,
    place         int  not null,
    name          text not null,
    number        text not null default '',
    mail          text not null default '',
    code          text not null unique,
    extra_minutes int  not null default 0
);
create index candidate_of_sitting on candidate (sitting_id, place);

-- A person's further tries name the first one; the furthest question only counts where there is no going back.
alter table script add column candidate_id uuid references candidate;
alter table script add column person_id uuid;
update script set person_id = id;
alter table script alter column person_id set not null;
alter table script add column furthest int not null default 0;

-- What the teacher did for a script; only ever added.
create table script_event (
    id         bigint generated always as identity primary key,
    script_id  uuid        not null references script,
    kind       text        not null,
    minutes    int         not null default 0,
    note       text        not null default '',
    author_id  uuid        not null references account,
    made_at    timestamptz not null
);
create index script_event_of_script on script_event (script_id, id);
