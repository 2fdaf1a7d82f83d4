package ableschema.core.reverse;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Keys of several columns that refer to each other in any way, in circles and to themselves, come back as they were. */
class AnyKeysTest {

    private static final int SCHEMAS = 400;

    /** Tables of whole numbers, whose keys and references are drawn by lot. */
    private static final class Lots {
        private final Random random;
        private final List<List<String>> columns = new ArrayList<>();
        private final List<List<String>> keys = new ArrayList<>();
        private final List<List<String>> uniques = new ArrayList<>();

        Lots(long seed) {
            random = new Random(seed);
        }

        private List<String> some(List<String> from, int count) {
            var drawn = new ArrayList<>(from);
            Collections.shuffle(drawn, random);
            return drawn.subList(0, count);
        }

        String script() {
            int tables = 2 + random.nextInt(5);
            var sql = new StringBuilder();
            for (int table = 0; table < tables; table++) {
                sql.append(table(table));
            }
            Set<String> references = new LinkedHashSet<>();
            for (int table = 0; table < tables; table++) {
                for (int i = random.nextInt(4); i > 0; i--) {
                    reference(table, random.nextInt(tables), references);
                }
            }
            references.forEach(sql::append);
            return sql.toString();
        }

        private String table(int table) {
            List<String> all = IntStream.range(0, 2 + random.nextInt(5))
                    .mapToObj(i -> "c" + i)
                    .toList();
            List<String> key = some(all, 1 + random.nextInt(Math.min(3, all.size())));
            List<String> unique = random.nextInt(3) == 0 ? some(all, 1 + random.nextInt(2)) : List.of();
            columns.add(all);
            keys.add(key);
            uniques.add(Set.copyOf(unique).equals(Set.copyOf(key)) ? List.of() : unique);
            var lines = new ArrayList<String>();
            for (String column : all) {
                boolean never = key.contains(column) || random.nextInt(3) > 0;
                lines.add(column + (never ? " int NOT NULL" : " int"));
            }
            lines.add("PRIMARY KEY (" + String.join(", ", key) + ")");
            if (!uniques.get(table).isEmpty()) {
                lines.add("UNIQUE (" + String.join(", ", uniques.get(table)) + ")");
            }
            return "CREATE TABLE t" + table + " (" + String.join(", ", lines) + ");\n";
        }

        private void reference(int table, int other, Set<String> references) {
            boolean alternate = random.nextInt(4) == 0 && !uniques.get(other).isEmpty();
            List<String> target = alternate ? uniques.get(other) : keys.get(other);
            if (columns.get(table).size() >= target.size()) {
                List<String> mine = some(columns.get(table), target.size());
                if (table != other || !mine.equals(target)) {
                    references.add("ALTER TABLE t" + table + " ADD FOREIGN KEY (" + String.join(", ", mine)
                            + ") REFERENCES t" + other + " (" + String.join(", ", target) + ");\n");
                }
            }
        }
    }

    private static void comesBack(String sql) {
        SqlRead read = SqlReader.read(sql, Dialects.POSTGRESQL);
        Reversed found = Reverse.of(read, "found");
        assertThat(read.skipped()).as(sql).isEmpty();
        assertThat(found.differences()).as(sql).isEmpty();

        var filed = DocumentFile.parse(DocumentFile.print(found.document()));
        SqlRead again = SqlReader.read(
                DesignScript.definitions(filed.mapping(), Dialects.POSTGRESQL).text(), Dialects.POSTGRESQL);
        assertThat(again.counts()).as(sql).isEqualTo(read.counts());
    }

    @Test
    void tables_with_keys_of_any_shape_come_back() {
        for (long seed = 1; seed <= SCHEMAS; seed++) {
            comesBack(new Lots(seed).script());
        }
    }

    private static final String COMPANY = "create table company (id int primary key);";

    @ParameterizedTest
    @ValueSource(
            strings = {
                "create table employee (company int references company, no int, boss_company int not null, boss int not null,"
                        + " primary key (company, no), foreign key (boss_company, boss) references employee);",
                "create table employee (company int references company, no int, boss int, primary key (company, no),"
                        + " foreign key (company, boss) references employee);",
                "create table employee (company int references company, no int, lent_to int not null, boss int,"
                        + " primary key (company, no), foreign key (lent_to, boss) references employee);",
                "create table employee (company int references company, no int, deputy_company int, deputy int,"
                        + " primary key (company, no), unique (deputy_company, deputy),"
                        + " foreign key (deputy_company, deputy) references employee);"
            })
    void a_table_refers_to_itself_by_a_key_that_another_reference_brings(String employees) {
        comesBack(COMPANY + employees);
    }
}
