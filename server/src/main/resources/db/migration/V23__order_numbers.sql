-- By which number a maker or dealer knows what is ordered; a kit's differs by its material.
alter table wet_kit add column order_number varchar(40) default '' not null;
alter table offer add column order_number varchar(40) default '' not null;
