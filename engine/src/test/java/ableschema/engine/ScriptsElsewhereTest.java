package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialects;
import java.sql.Connection;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What was read of one database is taken by each other, with what it cannot say told and left out. */
class ScriptsElsewhereTest {

    /** Indexes are called as those of other tables, and as tables; what is computed is computed from what is computed. */
    private static final String OF_MYSQL =
            """
            CREATE TABLE `harbour` (`id` int unsigned NOT NULL AUTO_INCREMENT, `name` varchar(60) NOT NULL,
              `opened` datetime(3) DEFAULT CURRENT_TIMESTAMP(3), PRIMARY KEY (`id`), KEY `name` (`name`)) ENGINE=InnoDB;
            CREATE TABLE `boat` (`id` mediumint NOT NULL, `name` varchar(60) NOT NULL, `harbour` int unsigned NOT NULL,
              `net` decimal(8,2) NOT NULL, `tax` decimal(8,2) GENERATED ALWAYS AS (`net` * 0.2) STORED,
              `gross` decimal(8,2) GENERATED ALWAYS AS (`net` + `tax`) STORED, `signs` set('a','b') NOT NULL DEFAULT '',
              PRIMARY KEY (`id`), KEY `name` (`name`), UNIQUE KEY `harbour` (`harbour`, `name`),
              CONSTRAINT `in_harbour` FOREIGN KEY (`harbour`) REFERENCES `harbour` (`id`)) ENGINE=InnoDB KEY_BLOCK_SIZE=8 ROW_FORMAT=COMPRESSED;
            CREATE TABLE `sign` (`id` int unsigned NOT NULL AUTO_INCREMENT PRIMARY KEY, `doc` json, `at` datetime(6) ON UPDATE CURRENT_TIMESTAMP(6),
              `kind` varchar(20) GENERATED ALWAYS AS (json_unquote(json_extract(`doc`, '$.kind'))) VIRTUAL, `bits` bit(3), `size` tinyint DEFAULT (1 << 3),
              `month` varchar(7) GENERATED ALWAYS AS (date_format(`at`, '%Y-%m')) VIRTUAL, `note` longtext, `place` point NOT NULL, `whole` geometry,
              CHECK (`note` regexp '^[A-Z]'), FULLTEXT KEY `words` (`note`), SPATIAL KEY `near` (`place`)) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4
              COLLATE=utf8mb4_0900_ai_ci;
            CREATE TABLE `name` (`boat` mediumint NOT NULL, `given` date, PRIMARY KEY (`boat`), UNIQUE KEY `harbour` (`given`, `boat`),
              FOREIGN KEY (`boat`) REFERENCES `boat` (`id`) ON DELETE CASCADE) ENGINE=InnoDB;
            """;

    /** Texts and bytes without a limit, or too wide, stand in keys and indexes; what is never empty is emptied; a check is over a number. */
    private static final String OF_POSTGRESQL =
            """
            CREATE TABLE person (id serial PRIMARY KEY CHECK (id > 0), last_name text NOT NULL, first_name text NOT NULL, town text,
              since timestamptz DEFAULT now(), day date DEFAULT now(), UNIQUE (last_name, first_name, day) DEFERRABLE);
            CREATE TABLE visit (person int NOT NULL REFERENCES person ON DELETE SET NULL, place text NOT NULL, at timestamp DEFAULT localtimestamp,
              note text, PRIMARY KEY (person, place) INCLUDE (note));
            CREATE TABLE picture (digest bytea PRIMARY KEY, small bytea, title varchar(2000) UNIQUE, place varchar(900), UNIQUE (digest, place));
            CREATE TABLE mark (picture bytea REFERENCES picture, word text NOT NULL, UNIQUE (picture, word));
            CREATE INDEX picture_title ON picture (title, place DESC);
            CREATE INDEX picture_small ON picture (small);
            CREATE INDEX person_name ON person (town, last_name, first_name);
            CREATE INDEX visit_note ON visit (place, note) INCLUDE (at);
            """;

    private static Document read(String dialect, String sql) {
        return Reverse.of(SqlReader.read(sql, Dialects.named(dialect).orElseThrow()), "elsewhere")
                .document();
    }

    private static void isTaken(Document document, RealEngine engine) throws Exception {
        try (Connection connection = engine.open()) {
            ScriptRun run = ScriptRun.of(DesignScript.definitions(document.mapping(), engine.dialect()), connection);
            assertThat(run.refusal()).isEmpty();
        }
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void a_schema_of_mysql_is_taken(RealEngine engine) throws Exception {
        isTaken(read("mysql", OF_MYSQL), engine);
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void a_schema_of_postgresql_is_taken(RealEngine engine) throws Exception {
        isTaken(read("postgresql", OF_POSTGRESQL), engine);
    }
}
