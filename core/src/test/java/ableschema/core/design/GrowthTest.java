package ableschema.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class GrowthTest {

    private final IdSource ids = IdSource.seeded(11);

    private Attribute attribute() {
        return Attribute.named(ids.next(IdKind.ATTRIBUTE), "depth");
    }

    private Relationship relationship(Entity from, Entity to) {
        return Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(from.id(), "lies at", Cardinality.EXACTLY_ONE, ""),
                new End(to.id(), "has", Cardinality.ANY_NUMBER, ""));
    }

    private static Entity any(Design design, Random random) {
        return design.entities().get(random.nextInt(design.entities().size()));
    }

    private Design edited(Design design, Random random) {
        if (design.entities().size() < 2) {
            return design.with(Entity.named(ids.next(IdKind.ENTITY), "Berth"));
        }
        Entity entity = any(design, random);
        var attributes = new ArrayList<>(entity.body().attributes());
        switch (random.nextInt(9)) {
            case 0, 1, 2:
                return design.with(Entity.named(ids.next(IdKind.ENTITY), "Berth"));
            case 3, 4:
                attributes.add(attribute());
                return design.withBody(entity.id(), entity.body().withAttributes(attributes));
            case 5, 6:
                return design.with(relationship(entity, any(design, random)));
            case 7:
                attributes.add(0, attribute());
                return design.withBody(entity.id(), entity.body().withAttributes(attributes));
            default:
                return random.nextInt(6) == 0 ? design.without(Set.of(entity.id())) : design;
        }
    }

    @Test
    void a_design_that_grew_step_by_step_finds_everything_as_one_that_was_made_at_once() {
        var random = new Random(4);
        Design grown = Design.EMPTY;
        for (int step = 0; step < 900; step++) {
            grown = edited(grown, random);
            if (step % 30 == 0) {
                requireSame(grown, Design.of(grown.entities(), grown.relationships()));
            }
        }
        assertThat(grown.relationships()).hasSizeGreaterThan(40);
    }

    private static void requireSame(Design grown, Design made) {
        for (Entity each : made.entities()) {
            assertThat(grown.entity(each.id())).contains(each);
            assertThat(grown.relationshipsOf(each.id()))
                    .containsExactlyElementsOf(made.relationships().stream()
                            .filter(one -> one.touches(each.id()))
                            .toList());
            assertThat(grown.referencesOf(each.id())).isEqualTo(made.referencesOf(each.id()));
            each.body().attributes().forEach(attribute -> assertThat(grown.ownerOf(attribute.id()))
                    .contains(each.id()));
        }
    }

    @Test
    void an_id_that_is_used_is_refused_wherever_it_was_used() {
        Entity berth = Entity.named(ids.next(IdKind.ENTITY), "Berth");
        Attribute depth = attribute();
        Design design = Design.of(List.of(berth, Entity.named(ids.next(IdKind.ENTITY), "Quay")), List.of())
                .withBody(berth.id(), berth.body().withAttributes(List.of(depth)));
        Entity quay = design.entities().get(1);
        Relationship lies = relationship(berth, quay);

        assertThatThrownBy(() -> design.withBody(quay.id(), quay.body().withAttributes(List.of(depth))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(depth.id().toString());
        assertThatThrownBy(() -> design.with(quay.withBody(quay.body().withAttributes(List.of(attribute(), depth)))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> design.withAll(List.of(), List.of(relationship(berth, quay), lies))
                        .withAll(List.of(), List.of(relationship(quay, Entity.named(ids.next(IdKind.ENTITY), "Mole")))))
                .hasMessageContaining("which is not in the design");
    }
}
