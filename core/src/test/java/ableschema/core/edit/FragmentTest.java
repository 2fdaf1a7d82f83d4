package ableschema.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.store.DocumentFile;
import ableschema.core.words.AnyWords;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** What is copied is pasted with ids of its own, and means what it meant. */
class FragmentTest {

    private static Document copied(Document document, Set<Id> entities, long seed) {
        String text = DocumentFile.print(Fragment.of(document, entities));
        return DocumentFile.parse(Fragment.withNewIds(text, IdSource.seeded(seed)));
    }

    private static Set<Id> all(Document document) {
        return document.design().entities().stream().map(Entity::id).collect(Collectors.toSet());
    }

    @Property(tries = 200)
    void all_of_a_design_pasted_into_nothing_means_the_same(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Design design = AnyWords.of(seed);
        Document from = Document.EMPTY.with(design);
        Document pasted = Fragment.paste(copied(from, all(from), seed + 1), Document.EMPTY)
                .applyTo(Document.EMPTY);

        assertThat(pasted.design().sameMeaning(design.with(pasted.design().notes())))
                .isEmpty();
    }

    @Property(tries = 200)
    void some_of_a_design_pasted_beside_it_leaves_the_rest_as_it_was(
            @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Document from = Document.EMPTY.with(AnyWords.of(seed));
        Set<Id> half = from.design().entities().stream()
                .map(Entity::id)
                .limit((from.design().entities().size() + 1) / 2)
                .collect(Collectors.toSet());
        Document pasted = Fragment.paste(copied(from, half, seed + 1), from).applyTo(from);

        assertThat(pasted.design().entities()).hasSize(from.design().entities().size() + half.size());
        assertThat(pasted.design().entities())
                .startsWith(from.design().entities().toArray(Entity[]::new));
        assertThat(pasted.design().relationships())
                .as("what leads out of the copied part is not copied")
                .hasSize(from.design().relationships().size()
                        + (int) from.design().relationships().stream()
                                .filter(r -> half.contains(r.first().entity())
                                        && half.contains(r.second().entity()))
                                .count());
    }

    @Test
    void names_that_are_taken_get_a_number_and_words_that_look_like_ids_stay() {
        DesignFixture made = DesignFixture.design(
                "Hive is a thing: note:harvest and e:harves are words.", "Each hive has code: text 6 (key).");
        Document once = Fragment.paste(copied(made.document(), all(made.document()), 1), made.document())
                .applyTo(made.document());
        Document twice = Fragment.paste(copied(made.document(), all(made.document()), 2), once)
                .applyTo(once);

        assertThat(twice.design().entities()).extracting(Entity::name).containsExactly("Hive", "Hive 2", "Hive 3");
        assertThat(twice.design().entities())
                .extracting(Entity::definition)
                .containsOnly("note:harvest and e:harves are words.");
        var ids = new LinkedHashSet<Id>();
        twice.design().entities().forEach(each -> ids.add(each.id()));
        assertThat(ids).hasSize(3);
    }
}
