-- Colleagues who work on a leaf with its owner.
create table leaf_share (
    leaf_id    uuid        not null references leaf,
    account_id uuid        not null references account,
    shared_at  timestamptz not null,
    primary key (leaf_id, account_id)
);

-- For a colleague without an account: whoever has the code may make one and finds the leaf there.
create table invitation (
    code    text primary key,
    leaf_id uuid        not null references leaf,
    mail    text        not null,
    made_at timestamptz not null,
    used_at timestamptz
);
