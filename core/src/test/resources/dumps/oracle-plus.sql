SET DEFINE OFF
SET ECHO ON
PROMPT making the tables
WHENEVER SQLERROR EXIT FAILURE
REM one table for each thing

create table region (
  region_id number(4) constraint region_pk primary key,
  label varchar2(30) not null
)
/
create table depot (
  depot_id number(6) not null,
  region_id number(4) not null references region,
  label varchar2(30) default q'[it's new]' not null,
  opened date default sysdate not null,
  area number(7,1) check (area > 0),
  constraint depot_pk primary key (depot_id)
);
alter table depot add (manager varchar2(40), phone varchar2(20));
alter table depot add constraint depot_label_uk unique (label);
alter table depot modify (phone varchar2(30) not null);
create sequence depot_seq start with 10 increment by 10;
create or replace procedure open_depot(p in number) is
  n number;
begin
  select count(*) into n from depot;
  insert into depot (depot_id) values (p);
end;
/
begin
  open_depot(1);
end;
/
create bitmap index depot_region on depot (region_id);
create unique index depot_upper on depot (upper(label));
comment on table depot is 'Where goods lie';
insert into region values (1, 'north & south');
@more.sql
exit
