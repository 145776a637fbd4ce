-- Which reading outside Deep Current counts for a class's word goals.
alter table class add column outside text not null default 'None' check (outside in ('None', 'Confirmed', 'All'));
