-- What the test of a received pool draws at random.
alter table received_package add column draws text not null default '';
