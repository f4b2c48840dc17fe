-- Questions that a candidate wants to come back to; their ids with commas between.
alter table script add column flags text not null default '';
