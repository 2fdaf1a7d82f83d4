package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What a sentence may give attributes, keys and dependencies to: an entity by its name, a pairing by its noun, or
 * {@code pairing "inspection gives treatment"}.
 */
final class Owners {

    private static final String PAIRING = "pairing ";

    private final Design design;
    private final Nouns nouns;

    /** Worked out when first asked for: most sentences speak of entities alone. */
    private Optional<Map<String, Relationship>> pairings = Optional.empty();

    Owners(Design design, Nouns nouns) {
        this.design = design;
        this.nouns = nouns;
    }

    Optional<Id> owner(String noun) {
        return nouns.entity(noun).map(Entity::id).or(() -> pairing(noun).map(Relationship::id));
    }

    private Optional<Relationship> pairing(String noun) {
        if (pairings.isEmpty()) {
            pairings = Optional.of(pairings());
        }
        return Optional.ofNullable(
                pairings.get().get(Quoted.is(noun) ? Quoted.of(Quoted.plain(noun)) : small(noun.strip())));
    }

    /** The pairings by all that they are called; of two that are called the same the first is meant. */
    private Map<String, Relationship> pairings() {
        var found = new HashMap<String, Relationship>();
        for (Relationship each : design.relationships()) {
            if (each.isManyToMany()) {
                if (!each.noun().isBlank()) {
                    found.putIfAbsent(Quoted.of(each.noun()), each);
                    found.putIfAbsent(small(each.noun()), each);
                    found.putIfAbsent(small(design.plural().of(each.noun())), each);
                }
                found.putIfAbsent(small(PAIRING + Quoted.of(inWords(each))), each);
            }
        }
        return found;
    }

    private static String small(String noun) {
        return noun.toLowerCase(Locale.ROOT);
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
