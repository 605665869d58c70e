-- Writes that look before they write take their turn: each locks its row until it is done.
create table turn (name varchar(20) primary key);
insert into turn values ('history'), ('kept-parts'), ('own-rows');
