package ableschema.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Diagram;
import ableschema.core.document.District;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.dialect.Dialects;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;

class PartPicturesTest {

    private static Document read(int tables, IntFunction<String> name) {
        var sql = new StringBuilder();
        for (int i = 0; i < tables; i++) {
            sql.append("create table " + name.apply(i) + " (id int primary key);\n");
        }
        return Reverse.of(SqlReader.read(sql.toString(), Dialects.POSTGRESQL), "x")
                .document();
    }

    private static Optional<PartPictures> of(Document document) {
        return PartPictures.of(document, document.mapping());
    }

    @Test
    void schemas_divide_first_then_the_beginnings_of_names() {
        var schemas = of(read(70, i -> (i % 2 == 0 ? "sales" : "store") + ".thing" + i))
                .orElseThrow();
        var names = of(read(70, i -> List.of("bill", "boat", "crew").get(i % 3) + "_part" + i))
                .orElseThrow();

        assertThat(schemas.by()).isEqualTo("schema");
        assertThat(schemas.parts().keySet()).containsExactly("sales", "store");
        assertThat(schemas.parts().get("sales")).hasSize(35);
        assertThat(names.by()).isEqualTo("name");
        assertThat(names.parts().keySet()).containsExactly("bill", "boat", "crew");
    }

    @Test
    void a_small_design_and_one_of_which_nothing_tells_the_parts_stay_whole() {
        assertThat(of(read(60, i -> "a" + i % 2 + "_t" + i))).isEmpty();
        assertThat(of(read(80, i -> "thing" + i))).isEmpty();
        assertThat(of(read(80, i -> "app_thing" + i)))
                .as("one beginning divides nothing")
                .isEmpty();
    }

    @Test
    void neighbourhoods_divide_where_names_do_not() {
        Document document = read(80, i -> "thing" + i);
        var districts = new ArrayList<District>();
        for (int i = 0; i < 80; i += 20) {
            districts.add(new District(
                    i == 0 ? "" : "d" + i,
                    document.design().entities().subList(i, i + 20).stream()
                            .map(each -> each.id())
                            .toList()));
        }
        Document divided = document.with(document.diagram().withDistricts(districts));

        assertThat(of(divided).orElseThrow().by()).isEqualTo("neighbourhood");
        assertThat(of(divided).orElseThrow().parts().keySet()).containsExactly("around Thing0", "d20", "d40", "d60");
    }

    @Test
    void pictures_are_added_once_and_none_takes_the_name_of_another() {
        Document document = read(70, i -> (i % 2 == 0 ? "whole" : "store") + ".thing" + i);
        PartPictures parts = of(document).orElseThrow();
        Document made = parts.added(document).applyTo(document);

        assertThat(made.diagrams()).extracting(Diagram::name).containsExactly("whole", "whole 2", "store");
        assertThat(made.inView()).isEqualTo("whole");
        assertThat(made.diagrams().get(1).part()).hasSize(35);
        assertThat(made.diagrams().get(1).positions()).isEmpty();
    }
}
