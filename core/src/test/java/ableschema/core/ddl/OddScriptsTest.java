package ableschema.core.ddl;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.carried.Carried;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataType;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What tools write that no manual shows, read and written again through the file of the design. */
class OddScriptsTest {

    private static SqlRead read(String dialect, String sql) {
        return SqlReader.read(sql, Dialects.named(dialect).orElseThrow());
    }

    private static String again(SqlRead read) {
        var document =
                DocumentFile.parse(DocumentFile.print(Reverse.of(read, "odd").document()));
        return DesignScript.definitions(document.mapping(), document.dialect()).text();
    }

    private static String again(String dialect, String sql) {
        SqlRead read = read(dialect, sql);
        String written = again(read);
        Dialect its = read.dialect();
        assertThat(SqlReader.read(written, its).schema().tables())
                .as("it is read as it was written")
                .isEqualTo(SqlReader.read(again(SqlReader.read(written, its)), its)
                        .schema()
                        .tables());
        return written;
    }

    @Test
    void marks_that_touch_numbers_and_words_end_statements() {
        SqlRead read = read(
                "mysql",
                """
                DELIMITER $$
                CREATE FUNCTION vat(x DECIMAL(10,2)) RETURNS DECIMAL(10,2) DETERMINISTIC RETURN x * 0.2$$
                CREATE PROCEDURE tidy() BEGIN DELETE FROM bill; END$$
                DELIMITER ;
                CREATE TABLE bill (id int NOT NULL);
                """);

        assertThat(read.schema().tables()).extracting(Table::name).containsExactly("bill");
        assertThat(read.schema().carried()).extracting(Carried::sql).anyMatch(sql -> sql.endsWith("RETURN x * 0.2"));
        assertThat(read.skipped()).isEmpty();
    }

    @Test
    void types_between_brackets_are_kept_as_they_are_and_a_row_version_is_no_moment() {
        assertThat(
                        again(
                                "sqlserver",
                                """
                        CREATE TABLE [dbo].[Boat]([Id] [int] NOT NULL, [Price] [money] NULL, [Doc] [xml] NULL, [Rv] [timestamp] NOT NULL,
                          [At] [datetime2](7) NULL, [Code] [char](3) NULL, [Tiny] [tinyint] NULL);
                        """))
                .containsPattern("\\[Price] +money")
                .containsPattern("\\[Doc] +xml")
                .containsPattern("\\[Rv] +timestamp")
                .containsPattern("\\[At] +datetime2\\(7\\)")
                .containsPattern("\\[Code] +char\\(3\\)")
                .containsPattern("\\[Tiny] +tinyint");
    }

    @Test
    void a_named_type_is_made_of_what_it_was_made_of_and_operators_have_no_schema() {
        assertThat(
                        again(
                                "postgresql",
                                """
                        CREATE DOMAIN mail AS public.citext CHECK ((VALUE OPERATOR(public.~) '@'::public.citext));
                        CREATE TABLE boat (owner mail);
                        """))
                .contains("CREATE DOMAIN mail AS citext CHECK (VALUE ~ '@');");
    }

    @Test
    void what_is_worked_out_as_a_default_stands_between_brackets_where_it_must() {
        assertThat(
                        again(
                                "postgresql",
                                """
                        CREATE TABLE log (at timestamp DEFAULT (now() AT TIME ZONE 'utc'::text), n int DEFAULT (1 + 1), uid uuid
                          DEFAULT gen_random_uuid(), kind text DEFAULT 'a b'::text);
                        """))
                .contains(
                        "DEFAULT (now() at time zone 'utc')",
                        "DEFAULT (1 + 1)",
                        "DEFAULT gen_random_uuid()",
                        "DEFAULT 'a b'");
        assertThat(again("mysql", "CREATE TABLE log (j json DEFAULT (json_array()), n int DEFAULT 3);"))
                .contains("DEFAULT (json_array())", "DEFAULT 3");
        assertThat(again(
                        "sqlite",
                        "CREATE TABLE log (at text DEFAULT (datetime('now','localtime')), n int DEFAULT -1);"))
                .contains("DEFAULT (datetime('now', 'localtime'))", "DEFAULT -1");
    }

    @Test
    void a_reference_that_waits_goes_on_waiting_and_one_of_which_a_part_may_be_empty_too() {
        String written = again(
                "postgresql",
                """
                CREATE TABLE a (x int, y int, PRIMARY KEY (x, y));
                CREATE TABLE b (id int PRIMARY KEY, x int, y int,
                  CONSTRAINT waits FOREIGN KEY (x, y) REFERENCES a (x, y) ON DELETE SET NULL DEFERRABLE INITIALLY DEFERRED);
                """);

        assertThat(written)
                .contains("ON DELETE SET NULL DEFERRABLE INITIALLY DEFERRED")
                .doesNotContain("MATCH FULL", "is not null");
    }

    @Test
    void a_circle_that_must_wait_is_not_told_to_wait() {
        String tables = "CREATE TABLE a (id int PRIMARY KEY, b_id int NOT NULL);"
                + " CREATE TABLE b (id int PRIMARY KEY, a_id int NOT NULL REFERENCES a%s);"
                + " ALTER TABLE a ADD FOREIGN KEY (b_id) REFERENCES b%s;";
        String waits = " DEFERRABLE INITIALLY DEFERRED";

        assertThat(waiting(read("postgresql", tables.formatted("", waits)))).isEmpty();
        assertThat(waiting(read("postgresql", tables.formatted(waits, "")))).containsExactly("a_id");
        assertThat(waiting(read("postgresql", tables.formatted(waits, waits)))).containsExactly("b_id", "a_id");
        for (String script :
                List.of(tables.formatted("", waits), tables.formatted(waits, ""), tables.formatted(waits, waits))) {
            assertThat(again(read("postgresql", script)).split("DEFERRABLE", -1))
                    .hasSameSizeAs(script.split("DEFERRABLE", -1));
        }
    }

    private static List<String> waiting(SqlRead read) {
        return read.schema().tables().stream()
                .flatMap(table -> table.foreignKeys().stream())
                .filter(ForeignKey::deferred)
                .flatMap(key -> key.columns().stream())
                .toList();
    }

    @Test
    void parts_of_a_table_are_no_tables_and_what_no_design_has_is_carried_or_told() {
        SqlRead read = read(
                "postgresql",
                """
                CREATE TABLE bill (id int, issued date) PARTITION BY RANGE (issued);
                CREATE TABLE bill_1 (id int, issued date);
                ALTER TABLE ONLY bill ATTACH PARTITION bill_1 FOR VALUES FROM ('2027-01-01') TO ('2028-01-01');
                ALTER TABLE ONLY bill_1 ADD CONSTRAINT bill_1_pkey PRIMARY KEY (id);
                ALTER TABLE bill ENABLE ROW LEVEL SECURITY;
                ALTER TABLE bill ADD CONSTRAINT apart EXCLUDE USING gist (issued WITH =);
                ALTER TABLE bill ADD CONSTRAINT once UNIQUE NULLS NOT DISTINCT (id);
                CREATE INDEX by_day ON bill ((lower(id::text)) text_pattern_ops);
                CREATE UNLOGGED TABLE quick (x int);
                """);

        assertThat(read.schema().tables()).extracting(Table::name).containsExactly("bill", "quick");
        assertThat(read.schema().carried())
                .extracting(Carried::sql)
                .containsExactly(
                        "ALTER TABLE bill ADD CONSTRAINT apart EXCLUDE USING gist (issued WITH =)",
                        "CREATE TABLE bill_1 PARTITION OF bill FOR VALUES FROM ('2027-01-01') TO ('2028-01-01')",
                        "ALTER TABLE quick SET UNLOGGED",
                        "ALTER TABLE bill ENABLE ROW LEVEL SECURITY");
        assertThat(again(read)).contains("PARTITION BY RANGE (issued)").contains("UNIQUE NULLS NOT DISTINCT (id)");
        assertThat(read.skipped())
                .extracting(Skipped::reason)
                .containsExactly("bill_1 is a part of bill, which is read as one");
        assertThat(again(read)).contains("ON bill ((lower(id::text)) text_pattern_ops);");
    }

    @Test
    void a_rule_that_is_switched_off_is_told_and_how_a_column_is_kept_stays() {
        SqlRead read = read(
                "sqlserver",
                """
                CREATE TABLE Boat (Id int, Length int CONSTRAINT CK_l CHECK (Length > 0), Note nvarchar(20) SPARSE NULL,
                  Tag uniqueidentifier ROWGUIDCOL NOT NULL);
                GO
                ALTER TABLE Boat NOCHECK CONSTRAINT CK_l
                GO
                """);

        assertThat(read.skipped()).extracting(Skipped::reason).containsExactly(ConstraintReader.NOT_ENFORCED);
        assertThat(again(read))
                .containsPattern("Note] +nvarchar\\(20\\) +SPARSE")
                .containsPattern("Tag] .*NOT NULL ROWGUIDCOL");
    }

    @ParameterizedTest
    @CsvSource({
        "sqlserver, 'CREATE TABLE [Log] ([At] datetime2 NOT NULL, [No] int NOT NULL, CONSTRAINT PK_Log PRIMARY KEY CLUSTERED ([At] DESC, [No] ASC))'",
        "mariadb, 'CREATE TABLE log (at datetime NOT NULL, no int NOT NULL, PRIMARY KEY (at DESC, no))'",
        "sqlite, 'CREATE TABLE log (at text NOT NULL, no int NOT NULL, PRIMARY KEY (at DESC, no)) WITHOUT ROWID'"
    })
    void a_key_in_falling_order_stays_so(String dialect, String sql) {
        SqlRead read = read(dialect, sql);
        assertThat(read.skipped()).extracting(Skipped::reason).noneMatch(reason -> reason.contains("falling"));
        assertThat(again(read)).containsPattern("(?i)PRIMARY KEY \\(\\W?at\\W? DESC, \\W?no\\W?\\)");
    }

    @Test
    void indexes_of_another_kind_are_carried_along() {
        SqlRead read = read(
                "sqlserver",
                """
                CREATE TABLE [Boat]([Id] [int] NOT NULL, [Doc] [xml] NULL);
                GO
                CREATE PRIMARY XML INDEX [PXML] ON [dbo].[Boat]([Doc]) WITH (PAD_INDEX = OFF)
                GO
                CREATE CLUSTERED COLUMNSTORE INDEX [CC] ON [dbo].[Boat]
                GO
                """);

        assertThat(read.schema().tables().get(0).indexes()).isEmpty();
        assertThat(read.schema().carried())
                .extracting(Carried::label)
                .containsExactly("index PXML on Boat", "index CC on Boat");
    }

    @Test
    void what_oracle_writes_of_types_sequences_and_keys_by_index_is_kept() {
        String sql =
                """
                CREATE SEQUENCE "YARD"."BOAT_SEQ" START WITH 300 INCREMENT BY 1;
                CREATE TABLE "YARD"."BOAT" ("ID" NUMBER(6,0) DEFAULT "YARD"."BOAT_SEQ"."NEXTVAL", "NAME" VARCHAR2(20 BYTE),
                  "DUR" INTERVAL DAY (2) TO SECOND (6), "ADDR" "YARD"."ADDRESS_T", "DOC" "SYS"."XMLTYPE");
                CREATE UNIQUE INDEX "YARD"."BOAT_PK" ON "YARD"."BOAT" ("ID");
                ALTER TABLE "YARD"."BOAT" MODIFY ("NAME" CONSTRAINT "NAME_NN" NOT NULL ENABLE);
                ALTER TABLE "YARD"."BOAT" ADD CONSTRAINT "BOAT_PK" PRIMARY KEY ("ID") USING INDEX ENABLE;
                """;

        assertThat(read("oracle", sql).skipped()).isEmpty();
        assertThat(read("oracle", sql).schema().carried()).isEmpty();
        assertThat(again("oracle", sql))
                .contains("START WITH 300")
                .containsPattern("dur +INTERVAL DAY \\(2\\) TO SECOND \\(6\\)")
                .containsPattern("addr +\"ADDRESS_T\"")
                .containsPattern("doc +\"SYS\".\"XMLTYPE\"")
                .containsPattern("name +VARCHAR2\\(20 BYTE\\) +NOT NULL")
                .doesNotContain("INDEX");
    }

    @Test
    void a_key_takes_the_place_of_the_index_that_it_is_said_to_use() {
        SqlRead read = read(
                "postgresql",
                """
                CREATE TABLE boat (id int, name text);
                CREATE UNIQUE INDEX a ON boat (id);
                CREATE UNIQUE INDEX b ON boat (name, id);
                ALTER TABLE boat ADD CONSTRAINT boat_pk PRIMARY KEY USING INDEX a;
                ALTER TABLE boat ADD CONSTRAINT boat_uk UNIQUE USING INDEX b;
                """);

        assertThat(read.skipped()).isEmpty();
        assertThat(read.schema().tables()).singleElement().satisfies(table -> {
            assertThat(table.primaryKey().orElseThrow().columns()).containsExactly("id");
            assertThat(table.uniques().get(0).columns()).containsExactly("name", "id");
            assertThat(table.indexes()).isEmpty();
        });
    }

    @Test
    void what_is_computed_each_time_stays_so_and_what_holds_nothing_is_told() {
        assertThat(again(
                        "mysql",
                        "CREATE TABLE t (a int, b int GENERATED ALWAYS AS (a + 1) VIRTUAL, c int AS (a + 2) STORED);"))
                .contains("(a + 1) VIRTUAL", "(a + 2) STORED");
        assertThat(again("sqlite", "CREATE TABLE t (a int, b int AS (a + 1), c int AS (a + 2) STORED);"))
                .contains("(a + 1) VIRTUAL", "(a + 2) STORED");
        assertThat(again("sqlserver", "CREATE TABLE t (a int, b AS (a + 1), c AS (a + 2) PERSISTED);"))
                .contains("(a + 2) PERSISTED")
                .doesNotContain("(a + 1) PERSISTED");
        SqlRead read = read("mysql", "CREATE TABLE t (a int INVISIBLE, b int, CHECK (b > 0) NOT ENFORCED);");
        assertThat(read.skipped()).isEmpty();
        assertThat(again(read)).contains("a integer INVISIBLE").contains("CHECK (b > 0) NOT ENFORCED");
        assertThat(read("oracle", "CREATE TABLE t (a number INVISIBLE, b number);")
                        .skipped())
                .extracting(Skipped::reason)
                .containsExactly("that a column is shown only where it is named is not kept");
    }

    @Test
    void a_cast_that_changes_a_value_is_kept_and_one_that_does_not_is_dropped() {
        String written = again(
                "postgresql",
                """
                CREATE TABLE log (n int, name varchar(20), at timestamp,
                  CONSTRAINT a CHECK (lower((n)::text) <> 'x'::text), CONSTRAINT b CHECK (lower((name)::text) <> 'x'::text),
                  CONSTRAINT c CHECK (at > ('2027-01-01'::timestamp - '1 day'::interval)), CONSTRAINT d CHECK (((5 / (2)::numeric) > (n)::numeric)));
                """);

        assertThat(written)
                .contains("lower(n::text)", "lower(name)", "'1 day'::interval", "5 / 2::numeric")
                .doesNotContain("name::text");
    }

    @Test
    void a_value_that_is_worked_out_is_told() {
        SqlRead read = SqlReader.read(
                "create table t (a int, b date); insert into t values (1, to_date('17-JUN-03', 'DD-MON-RR')), (2, null);",
                Dialects.ORACLE,
                5);

        assertThat(read.rows().get(0).rows()).hasSize(2);
        assertThat(read.skipped()).singleElement().satisfies(each -> assertThat(each.reason())
                .isEqualTo("a value is worked out"));
    }

    @Test
    void how_an_index_compares_stays_with_its_part() {
        assertThat(
                        again(
                                "postgresql",
                                """
                        CREATE TABLE boat (id int, name text, "Odd Name" text, data jsonb);
                        CREATE INDEX a ON boat (name text_pattern_ops, id DESC);
                        CREATE INDEX b ON boat USING gin (data public.jsonb_path_ops);
                        CREATE INDEX c ON boat (lower("Odd Name") text_pattern_ops, "Odd Name" varchar_pattern_ops DESC);
                        """))
                .contains("ON boat (name text_pattern_ops, id DESC);")
                .contains("ON boat USING gin (data jsonb_path_ops);")
                .contains("ON boat ((lower(\"Odd Name\")) text_pattern_ops, \"Odd Name\" varchar_pattern_ops DESC);");
    }

    @Test
    void what_is_computed_may_stand_without_brackets() {
        assertThat(again(
                        "sqlserver",
                        "create table t (a int, b as a * 2, c as (a + 1) * 3 persisted not null, d as (a));"))
                .contains("AS (a * 2)", "AS ((a + 1) * 3) PERSISTED NOT NULL", "AS (a)");
    }

    @Test
    void a_table_made_like_another_has_checks_of_its_own_names_where_these_are_one_for_all_tables() {
        SqlRead mysql = read(
                "mysql",
                "create table a (x int, constraint pos check (x > 0)); create table b like a; alter table b add y int, algorithm=inplace, lock=none;");

        assertThat(mysql.skipped()).isEmpty();
        assertThat(mysql.schema().tables())
                .extracting(table -> table.checks().get(0).name())
                .containsExactly("pos", "b_chk_1");
    }

    @Test
    void an_index_inside_a_table_is_over_the_rows_that_it_says_and_a_default_draws_from_its_sequence() {
        SqlRead read = read(
                "sqlserver",
                """
                CREATE SEQUENCE dbo.Num AS bigint START WITH 5 INCREMENT BY 2;
                CREATE TABLE t (a int NOT NULL DEFAULT (NEXT VALUE FOR dbo.Num), b date,
                  INDEX ix NONCLUSTERED (b DESC) INCLUDE (a) WHERE b IS NOT NULL);
                """);

        assertThat(read.schema().carried()).isEmpty();
        assertThat(read.skipped()).isEmpty();
        assertThat(again(read))
                .contains("IDENTITY(5, 2)", "CREATE INDEX ix ON t (b DESC) INCLUDE (a) WHERE b is not null");
    }

    @Test
    void what_is_worked_out_before_it_is_compared_needs_no_brackets() {
        SqlRead read = read(
                "postgresql",
                """
                create table t (a int, b int, c int,
                  constraint x check (((char_length((a)::text) + b) > 2)), constraint y check (((a + b) * c) > (b - 1)),
                  constraint z check ((a > 0) and ((b + 1) = (c + 1)) or (c < 5)));
                create index on t ((lower(a::text)), b); create index on t ((a + b));
                create table u (like t including indexes);
                create table v (n int generated always as identity, s serial);
                create table w (x int) inherits (v);
                """);

        assertThat(read.schema().tables().get(0).checks())
                .extracting(check -> check.expression().written(name -> name))
                .containsExactly(
                        "char_length(a::text) + b > 2", "(a + b) * c > b - 1", "a > 0 and b + 1 = c + 1 or c < 5");
        assertThat(read.schema().tables().get(0).indexes())
                .extracting(Table.TableIndex::name)
                .containsExactly("t_lower_b_idx", "t_expr_idx");
        assertThat(read.schema().tables().get(1).indexes())
                .extracting(Table.TableIndex::name)
                .containsExactly("u_lower_b_idx", "u_expr_idx");
        assertThat(read.schema().tables().get(3).columns())
                .extracting(column -> column.identity().isPresent())
                .containsExactly(false, true, false);
    }

    @Test
    void names_and_numbers_follow_as_mysql_has_them() {
        SqlRead read = read(
                "mariadb",
                """
                create table a (id int auto_increment primary key, small int1, middle middleint) auto_increment = 100;
                create table b (id int primary key, a_id int, foreign key (a_id) references a (id));
                create table c like a;
                rename table b to d;
                """);

        assertThat(read.schema().table("d").orElseThrow().foreignKeys().get(0).name())
                .isEqualTo("d_ibfk_1");
        assertThat(read.schema()
                        .table("a")
                        .orElseThrow()
                        .columns()
                        .get(0)
                        .identity()
                        .orElseThrow()
                        .start())
                .isEqualTo(100);
        assertThat(read.schema()
                        .table("c")
                        .orElseThrow()
                        .columns()
                        .get(0)
                        .identity()
                        .orElseThrow()
                        .start())
                .isEqualTo(1);
        assertThat(read.schema().table("a").orElseThrow().columns().get(1).type())
                .isEqualTo(new DataType.Whole(255));
    }

    /** An engine or character set may be said later, and one that converts takes the columns along. */
    @Test
    void options_that_a_later_statement_says_count() {
        assertThat(
                        again(
                                "mariadb",
                                """
                                CREATE TABLE buoy (id int NOT NULL, mark varchar(9) CHARACTER SET latin1) CHARSET=latin1;
                                ALTER TABLE buoy ADD PRIMARY KEY (id), ENGINE=MyISAM;
                                ALTER TABLE buoy CONVERT TO CHARACTER SET utf8 COLLATE utf8_bin;
                                ALTER TABLE buoy COMMENT='Lit at night.', ROW_FORMAT=compact;
                                """))
                .contains("PRIMARY KEY (id)")
                .contains(") COLLATE=utf8mb3_bin ENGINE=MyISAM ROW_FORMAT=COMPACT COMMENT='Lit at night.';")
                .doesNotContain("latin1");
    }

    @Test
    void all_defaults_of_one_list_are_read_and_a_key_without_a_comma_before_it() {
        SqlRead read = read(
                "sqlserver",
                """
                CREATE TABLE [dbo].[lamp] ([id] [int] NOT NULL, [colour] [varchar] (9) NOT NULL,
                  [watts] [int] NOT NULL CONSTRAINT [PK_lamp] PRIMARY KEY CLUSTERED ([id] ASC));
                ALTER TABLE [dbo].[lamp] WITH NOCHECK ADD
                  CONSTRAINT [DF_1] DEFAULT ('white') FOR [colour],
                  CONSTRAINT [DF_2] DEFAULT (40) FOR [watts];
                """);

        assertThat(read.skipped()).isEmpty();
        Table lamp = read.schema().tables().get(0);
        assertThat(lamp.primaryKey()).contains(new Table.PrimaryKey("PK_lamp", List.of("id")));
        assertThat(lamp.columns())
                .extracting(each -> each.defaultValue().toString())
                .containsExactly("", "'white'", "40");
    }

    /** Digits begin a name only where they are no number, and a mark that ends statements may touch them. */
    @Test
    void names_that_begin_with_digits_are_names() {
        SqlRead read = read(
                "mysql",
                """
                DELIMITER $$
                CREATE TABLE 3rd_party (1st int DEFAULT 0x1F, 2e int DEFAULT 2e1, 4x4 int DEFAULT 5)$$
                CREATE PROCEDURE p() SELECT 3rd_party.1st FROM 3rd_party LIMIT 1$$
                """);

        assertThat(read.skipped()).isEmpty();
        assertThat(read.schema().tables().get(0).columns())
                .extracting(each -> each.name() + " " + each.defaultValue())
                .containsExactly("1st 31", "2e 20", "4x4 5");
        assertThat(read.schema().carried()).hasSize(1);
    }

    /** What a cast changes stays; one of a literal, or of a text to a text, changes nothing. */
    @Test
    void casts_of_calls_are_kept() {
        Table table = read(
                        "postgresql",
                        """
                        create table tide (at date default (now())::date, high text default to_char('7'::int, '9')::text,
                          low numeric check (low > '-3'::integer and low < '9'::numeric), no text default (length('x'))::text);
                        """)
                .schema()
                .tables()
                .get(0);

        assertThat(table.columns())
                .extracting(each -> each.defaultValue().toString())
                .containsExactly("now()::date", "to_char(7, '9')::text", "", "length('x')::text");
        assertThat(table.checks().get(0).expression()).hasToString("{low} > -3 and {low} < 9");
    }

    /** The catalogue's way of saying how a text is kept is no other text; a foreign key that the engine drops is told. */
    @Test
    void a_foreign_key_that_the_engine_does_not_keep_is_told() {
        SqlRead read = read(
                "mysql",
                """
                CREATE TABLE quay (id int PRIMARY KEY);
                CREATE TABLE ring (id int PRIMARY KEY, quay int, FOREIGN KEY (quay) REFERENCES quay (id)) ENGINE=MyISAM;
                """);

        assertThat(read.schema().tables().get(1).foreignKeys()).isEmpty();
        assertThat(read.skipped()).extracting(Skipped::statement).containsExactly("foreign key (quay) of ring to quay");
    }

    /** A plain unique constraint takes one empty value there, one over the rows that hold values many: both come back as they were. */
    @Test
    void what_is_unique_stays_as_strict_as_it_was_found() {
        String written = again(
                "sqlserver",
                """
                CREATE TABLE mast (id int NOT NULL PRIMARY KEY, tag int NULL, code int NULL, sail int NULL, hull int NULL,
                  CONSTRAINT uq_tag UNIQUE (tag), CONSTRAINT uq_hull UNIQUE (hull));
                CREATE UNIQUE INDEX uq_code ON mast (code) WHERE code IS NOT NULL;
                CREATE UNIQUE INDEX uq_sail ON mast (sail);
                CREATE TABLE flag (id int NOT NULL PRIMARY KEY, hull int NULL REFERENCES mast (hull));
                """);

        assertThat(written)
                .contains("CONSTRAINT uq_tag\n    UNIQUE (tag)")
                .contains("CONSTRAINT uq_hull\n    UNIQUE (hull)")
                .contains("CREATE UNIQUE INDEX uq_code ON mast (code) WHERE code IS NOT NULL")
                .contains("CREATE UNIQUE INDEX uq_sail ON mast (sail);")
                .doesNotContain("WHERE tag", "WHERE sail", "WHERE hull");
    }

    /** Of several columns, those that are never empty need not be said not to be. */
    @Test
    void an_index_over_the_rows_that_hold_values_says_so_of_what_may_be_empty_alone() {
        String table =
                "CREATE TABLE mast (id int NOT NULL PRIMARY KEY, ship int NOT NULL, tag int NULL, code int NULL);\n";
        for (String filter : List.of(
                "tag IS NOT NULL AND code IS NOT NULL", "code IS NOT NULL AND ship IS NOT NULL AND tag IS NOT NULL")) {
            assertThat(again(
                            "sqlserver",
                            table + "CREATE UNIQUE INDEX uq ON mast (ship, tag, code) WHERE " + filter + ";"))
                    .contains(
                            "CREATE UNIQUE INDEX uq ON mast (ship, tag, code) WHERE tag IS NOT NULL AND code IS NOT NULL;");
        }
        assertThat(again(
                        "sqlserver", table + "CREATE UNIQUE INDEX uq ON mast (ship, tag, code) WHERE tag IS NOT NULL;"))
                .contains("CREATE UNIQUE INDEX uq ON mast (ship, tag, code) WHERE tag is not null;");
    }
}
