/* first draft /* with a remark inside */ of the library */
begin;
create table if not exists reader (
  id serial primary key,
  Name varchar not null check (length(Name) > 1),
  mail varchar(120) unique,
  born date check (born > date '1900-01-01'),
  joined timestamptz not null default now(),
  sponsor int references reader on delete set null
);
create table book (id bigserial primary key, isbn char(13) not null unique, title text not null,
  pages int check (pages between 1 and 5000), price numeric(7,2) not null default 0, kind varchar(10) not null default 'novel'
    constraint known_kind check (kind in ('novel', 'essay', 'poems')));
create table copy (
  book_id bigint not null references book (id) on delete cascade on update cascade,
  no smallint not null,
  shelf text,
  primary key (book_id, no)
);
create table loan (
  reader_id int not null,
  book_id bigint not null,
  copy_no smallint not null,
  lent_on date not null default current_date,
  back_on date,
  constraint loan_key primary key (reader_id, book_id, copy_no, lent_on),
  foreign key (reader_id) references reader,
  constraint loan_copy foreign key (book_id, copy_no) references copy (book_id, no),
  check (back_on >= lent_on)
);
create table author (id int generated always as identity (start with 100) primary key, name text not null);
create table book_author (book_id bigint references book, author_id int references author, place int not null default 1,
  primary key (book_id, author_id));
create table log (at timestamp not null, what text) partition by range (at);
create table log_2027 partition of log for values from ('2027-01-01') to ('2028-01-01');
create table loan_old (like loan including all);
create table loan_bare (like loan, remark text);
create index on loan (back_on) where back_on is null;
create index loan_by_book on loan (book_id, copy_no desc);
alter table reader rename column mail to email;
alter table reader add column phone varchar(20), add constraint phone_form check (phone like '+%'), drop constraint reader_name_check;
alter table book alter column price type numeric(9,2), alter column price drop not null, alter title set default 'untitled';
alter table copy rename to volume;
alter table loan add exclude using gist (book_id with =);
alter table author rename column id to author_no;
create table periodical (issn char(9) check (issn ~ '^[0-9]{4}-' or issn not like '%x')) inherits (book);
create temporary table scratch (a int);
drop table if exists scratch cascade;
comment on column book.isbn is 'thirteen digits';
insert into author (name) values ('A. Nobody'), ('B. Else');
commit;
