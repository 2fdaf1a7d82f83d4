create table Ward (
  WardNo int not null primary key,
  Title varchar(40) not null unique,
  Beds tinyint not null default 12 check (Beds > 0)
)
create table Nurse (
  NurseNo int identity primary key,
  FullName varchar(60) not null,
  WardNo int null references Ward(WardNo) on delete set null,
  Grade char(1) not null constraint CK_Grade check (Grade in ('A','B','C'))
)
create table Shift (
  NurseNo int not null foreign key references Nurse(NurseNo),
  Starts smalldatetime not null,
  Hours decimal(4,1),
  constraint PK_Shift primary key (NurseNo, Starts)
)
create index IX_Nurse_Ward on Nurse(WardNo)
alter table Shift add Note nvarchar(200), Paid bit not null default 0
exec sp_rename 'Nurse.FullName', 'Name', 'COLUMN'
go
