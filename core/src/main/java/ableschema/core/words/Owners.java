package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import java.util.List;
import java.util.Optional;

/**
 * What a sentence may give attributes, keys and dependencies to: an entity by its name, a pairing by its noun, or
 * {@code pairing "inspection gives treatment"}.
 */
final class Owners {

    private static final String PAIRING = "pairing ";

    private final Design design;
    private final Nouns nouns;

    Owners(Design design, Nouns nouns) {
        this.design = design;
        this.nouns = nouns;
    }

    Optional<Id> owner(String noun) {
        return nouns.entity(noun).map(Entity::id).or(() -> pairing(noun).map(Relationship::id));
    }

    private Optional<Relationship> pairing(String noun) {
        return design.relationships().stream()
                .filter(r -> r.isManyToMany()
                        && (nouns.means(noun, r.noun())
                                || noun.strip().equalsIgnoreCase(PAIRING + Quoted.of(inWords(r)))))
                .findFirst();
    }

    /** How sentences call an owner; empty where no words lead to it alone. */
    Optional<String> called(Id owner) {
        return design.entity(owner).map(nouns::one).or(() -> design.relationship(owner)
                .flatMap(r -> List.of(
                                Nouns.listed(Nouns.inSentence(r.noun())),
                                Quoted.of(r.noun()),
                                PAIRING + Quoted.of(inWords(r)))
                        .stream()
                        .filter(noun -> !noun.equals(Quoted.of(""))
                                && owner(noun).filter(r.id()::equals).isPresent())
                        .findFirst()));
    }

    private String inWords(Relationship r) {
        return called(r, Side.FIRST) + " " + r.first().verb() + " " + called(r, Side.SECOND);
    }

    private String called(Relationship r, Side side) {
        End end = r.end(side);
        return Nouns.inSentence(design.at(end).name());
    }
}
