package ableschema.core.ddl;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.carried.Carried;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.reverse.Reverse;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands beside tables is carried along as it was found and written back in an order that works. */
class CarriedTest {

    private static final String POSTGRESQL =
            """
            CREATE EXTENSION IF NOT EXISTS citext;
            CREATE FUNCTION public.tidy(t text) RETURNS text LANGUAGE sql AS $$ SELECT trim(t); $$;
            CREATE SEQUENCE public.ticket_no START WITH 100;
            CREATE TABLE public.pier (pier_id integer PRIMARY KEY, label text CHECK (public.tidy(label) <> ''));
            CREATE TABLE public.berth (berth_id integer PRIMARY KEY, pier_id integer REFERENCES public.pier, depth integer);
            CREATE VIEW public.deep AS SELECT * FROM public.wide WHERE depth > 5;
            CREATE VIEW public.wide AS SELECT b.berth_id, b.depth, p.label FROM public.berth b JOIN public.pier p USING (pier_id);
            COMMENT ON VIEW public.deep IS 'for keels; not others';
            COMMENT ON COLUMN public.deep.depth IS 'in metres';
            CREATE FUNCTION berth_check() RETURNS trigger LANGUAGE plpgsql AS $body$
            BEGIN
              IF NEW.depth < 0 THEN RAISE EXCEPTION 'no; never'; END IF;
              RETURN NEW;
            END $body$;
            CREATE TRIGGER depth BEFORE INSERT ON public.berth FOR EACH ROW EXECUTE FUNCTION berth_check();
            CREATE TYPE public.extent AS (length integer, width integer);
            GRANT SELECT ON TABLE public.deep TO harbour;
            """;

    private static SqlRead read(String sql, Dialect dialect) {
        return SqlReader.read(sql, dialect);
    }

    private static String written(SqlRead read) {
        return DesignScript.definitions(Reverse.of(read, "x").document().mapping(), read.dialect())
                .text();
    }

    private static List<String> labels(SqlRead read) {
        return read.schema().carried().stream().map(Carried::label).toList();
    }

    @Test
    void views_routines_triggers_and_rights_are_carried_in_an_order_that_works() {
        SqlRead read = read(POSTGRESQL, Dialects.POSTGRESQL);

        assertThat(read.skipped()).isEmpty();
        assertThat(labels(read))
                .containsExactly(
                        "extension citext",
                        "type extent",
                        "sequence ticket_no",
                        "routine tidy(t text)",
                        "routine berth_check()",
                        "view wide",
                        "view deep",
                        "trigger depth on berth",
                        "description deep",
                        "description deep.depth",
                        "right");
    }

    @Test
    void what_a_check_needs_stands_before_its_table_and_a_trigger_behind_the_rows() {
        String script = written(read(POSTGRESQL, Dialects.POSTGRESQL));

        assertThat(script)
                .containsSubsequence(
                        "check_function_bodies",
                        "CREATE FUNCTION tidy",
                        "CREATE TABLE pier",
                        "CREATE VIEW wide",
                        "CREATE VIEW deep",
                        "CREATE TRIGGER depth",
                        "COMMIT");
    }

    @ParameterizedTest
    @CsvSource({"postgresql", "mysql", "mariadb", "sqlite", "sqlserver", "oracle", "h2", "standard"})
    void what_was_written_is_read_as_the_same(String name) {
        Dialect dialect = Dialects.named(name).orElseThrow();
        SqlRead first = read(SqlSource.carried(name), dialect);
        SqlRead again = read(written(first), dialect);

        assertThat(first.skipped()).isEmpty();
        assertThat(first.schema().carried()).hasSizeGreaterThanOrEqualTo(2);
        assertThat(again.skipped()).isEmpty();
        assertThat(again.schema().carried()).isEqualTo(first.schema().carried());
    }

    @Test
    void what_is_dropped_or_made_anew_counts_as_it_ends_up() {
        SqlRead read = read(
                """
                create table t (x int);
                create view a as select 1;
                create or replace view a as select x from t;
                create view b as select 2;
                drop view if exists b, c;
                create sequence s;
                drop sequence s;
                """,
                Dialects.POSTGRESQL);

        assertThat(read.schema().carried()).singleElement().satisfies(each -> assertThat(each.sql())
                .isEqualTo("create or replace view a as select x from t"));
    }

    @Test
    void a_mark_that_ends_statements_may_touch_a_word() {
        SqlRead read = read(
                """
                create table t (x int);
                delimiter $$
                create trigger b before insert on t for each row begin if new.x = 0 then set new.x = 1; end if; end$$
                create table u (y int)$$
                """,
                Dialects.MYSQL);

        assertThat(read.skipped()).isEmpty();
        assertThat(read.schema().tables()).hasSize(2);
        assertThat(read.schema().carried().get(0).sql()).endsWith("end if; end");
    }

    @Test
    void a_placeholder_of_a_dump_gives_way_to_the_view_and_its_versions_are_opened() {
        SqlRead read = read(
                """
                CREATE TABLE `t` (`x` int);
                /*!50001 CREATE VIEW `v` AS SELECT 1 AS `x`*/;
                /*!50001 DROP VIEW IF EXISTS `v`*/;
                /*!50001 CREATE ALGORITHM=UNDEFINED */
                /*!50013 DEFINER=`keeper`@`%` SQL SECURITY DEFINER */
                /*!50001 VIEW `v` AS select `t`.`x` AS `x` from `t` */;
                """,
                Dialects.MYSQL);

        assertThat(read.schema().carried()).singleElement().satisfies(each -> {
            assertThat(each.label()).isEqualTo("view v");
            assertThat(each.sql())
                    .isEqualTo("CREATE ALGORITHM=UNDEFINED DEFINER=`keeper`@`%` SQL SECURITY DEFINER VIEW `v` AS select"
                            + " `t`.`x` AS `x` from `t`");
        });
    }

    @Test
    void the_sequence_of_a_column_is_its_numbering_another_stays_and_no_right_has_a_password() {
        SqlRead read = read(
                """
                create sequence t_x_seq;
                create table t (x int default nextval('t_x_seq'));
                """,
                Dialects.POSTGRESQL);
        SqlRead shared = read(
                "create sequence s start with 7; create table t (x int default nextval('s'));", Dialects.POSTGRESQL);
        SqlRead rights =
                read("create table t (x int); grant all on t to 'a'@'%' identified by 'open sesame';", Dialects.MYSQL);

        assertThat(read.schema().carried()).isEmpty();
        assertThat(shared.schema().carried()).extracting(Carried::label).containsExactly("sequence s");
        assertThat(rights.schema().carried()).isEmpty();
        assertThat(rights.skipped()).hasSize(1);
    }

    @Test
    void another_dialect_leaves_it_out_and_says_so() {
        var document = Reverse.of(read(POSTGRESQL, Dialects.POSTGRESQL), "x").document();
        String script =
                DesignScript.definitions(document.mapping(), Dialects.SQLITE).text();

        assertThat(script)
                .contains("Left out, as written for PostgreSQL: extension citext")
                .doesNotContain("CREATE VIEW");
    }

    @Test
    void it_stays_in_the_file() throws Exception {
        var document = Reverse.of(read(POSTGRESQL, Dialects.POSTGRESQL), "x").document();
        var kept = DocumentFile.parse(DocumentFile.print(document))
                .design()
                .notes()
                .kept();

        assertThat(kept).isEqualTo(document.design().notes().kept());
        assertThat(kept.get(5).uses()).extracting(use -> use.name()).contains("berth", "depth", "pier", "label");
    }

    @Test
    void a_renamed_table_is_found_in_the_statements_that_speak_of_it_and_put_in() {
        var document = Reverse.of(read(SqlSource.carried("postgresql"), Dialects.POSTGRESQL), "x")
                .document();
        var entity = document.design().entities().stream()
                .filter(each -> each.name().equals("Berth"))
                .findFirst()
                .orElseThrow();
        var ids = IdSource.seeded(1);
        var renamed =
                new Edits(document.design(), ids).rename(entity, "mooring").applyTo(document);
        var findings = outdated(renamed);

        assertThat(outdated(document)).isEmpty();
        assertThat(findings)
                .extracting(Finding::text)
                .containsExactly(
                        "The view wide_berth speaks of berth, which is called mooring now.",
                        "The trigger depth_is_logged on berth speaks of berth, which is called mooring now.");

        var mended = renamed;
        for (Finding each : findings) {
            mended = each.remedies().get(0).edit(mended.design(), ids).applyTo(mended);
        }

        assertThat(outdated(mended)).isEmpty();
        assertThat(DesignScript.definitions(mended.mapping(), Dialects.POSTGRESQL)
                        .text())
                .contains("FROM mooring b JOIN pier p")
                .contains("AFTER INSERT ON mooring");
    }

    @Test
    void what_may_mean_another_column_is_not_renamed_unseen() {
        var document = Reverse.of(read(SqlSource.carried("postgresql"), Dialects.POSTGRESQL), "x")
                .document();
        var berth = document.design().entities().stream()
                .filter(each -> each.name().equals("Berth"))
                .findFirst()
                .orElseThrow();
        var ids = IdSource.seeded(1);
        var depth = berth.body().attributes().stream()
                .filter(each -> each.name().equals("depth"))
                .findFirst()
                .orElseThrow();
        var renamed = new Edits(document.design(), ids)
                .changeAttribute(depth.withName("sounding"))
                .applyTo(document);

        assertThat(outdated(renamed))
                .filteredOn(each -> each.text().startsWith("The routine log_depth()"))
                .isEmpty(); // which speaks of NEW.depth and of no table that has it
        assertThat(outdated(renamed))
                .filteredOn(each -> each.text().startsWith("The view wide_berth"))
                .singleElement()
                .satisfies(each -> assertThat(each.remedies()).hasSize(2));
    }

    private static List<Finding> outdated(Document document) {
        return Review.of(Subject.of(document, document.mapping())).open().stream()
                .filter(each -> each.rule().id().equals("carried-outdated"))
                .toList();
    }

    @Test
    void what_only_switches_a_trigger_swallows_nothing_and_one_without_an_end_is_listed() {
        SqlRead oracle = read(
                """
                create table "YARD"."T" (x number(9));
                create or replace trigger "YARD"."B" before insert on "YARD"."T" for each row
                begin
                  :new.x := 1;
                end;
                /
                ALTER TRIGGER "YARD"."B" ENABLE;
                create table "YARD"."U" (y number(9));
                """,
                Dialects.ORACLE);
        SqlRead mysql = read(
                """
                create table t (x int);
                create trigger b before insert on t for each row begin if new.x = 0 then set new.x = 1;
                create table u (y int);
                """,
                Dialects.MYSQL);

        assertThat(oracle.schema().tables()).hasSize(2);
        assertThat(oracle.schema().carried())
                .extracting(Carried::sql)
                .anyMatch(sql -> sql.startsWith("create or replace trigger \"B\" before insert on \"T\""))
                .contains("ALTER TRIGGER \"B\" ENABLE");
        assertThat(mysql.schema().tables()).hasSize(2);
        assertThat(mysql.schema().carried()).isEmpty();
        assertThat(mysql.skipped()).singleElement().satisfies(each -> assertThat(each.reason())
                .isEqualTo("it is not told where it ends"));
    }

    @Test
    void what_was_made_in_a_schema_is_written_in_it() {
        SqlRead read = read(
                """
                create schema yard; set search_path to yard;
                create table boat (x int);
                create view v as select * from boat;
                set search_path to public;
                create view w as select 1;
                """,
                Dialects.POSTGRESQL);
        String script = written(read);

        assertThat(script)
                .containsSubsequence(
                        "CREATE TABLE yard.boat",
                        "SET search_path TO yard, public;",
                        "create view v as",
                        "RESET search_path;",
                        "create view w as");
        assertThat(read(script, Dialects.POSTGRESQL).schema().carried())
                .isEqualTo(read.schema().carried());
    }

    @Test
    void views_over_thousands_of_levels_are_put_in_order_and_each_of_a_name_is_dropped() {
        var sql = new StringBuilder("create table t (x int);\n");
        for (int i = 5000; i > 0; i--) {
            sql.append("create view v" + i + " as select x from " + (i == 1 ? "t" : "v" + (i - 1)) + ";\n");
        }
        sql.append("create function f(a int) returns int language sql as $$ select 1 $$;\n"
                + "create function f(a text) returns int language sql as $$ select 2 $$;\n"
                + "create function g(a text) returns int language sql as $$ select 2 $$;\n"
                + "drop function f(int); drop function g;");
        SqlRead read = read(sql.toString(), Dialects.POSTGRESQL);
        List<String> labels = labels(read);

        assertThat(labels.indexOf("view v1")).isLessThan(labels.indexOf("view v2"));
        assertThat(labels.indexOf("view v4999")).isEqualTo(labels.indexOf("view v5000") - 1);
        assertThat(labels).doesNotContain("routine g(a text)");
    }

    @Test
    void views_that_look_at_each_other_are_each_there_once() {
        assertThat(labels(read(
                        "create table t (x int); create view a as select * from b; create view b as select * from a;",
                        Dialects.POSTGRESQL)))
                .containsExactlyInAnyOrder("view a", "view b");
    }
}
