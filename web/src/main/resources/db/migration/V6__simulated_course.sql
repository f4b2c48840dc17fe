-- What the simulated course system has received; it keeps nothing else.
create table received_package (
    id          uuid primary key,
    name        text        not null,
    title       text        not null,
    standard    text        not null,
    items       text        not null,
    points      text        not null,
    pictures    int         not null,
    faults      text        not null,
    size        int         not null,
    received_at timestamptz not null
);
