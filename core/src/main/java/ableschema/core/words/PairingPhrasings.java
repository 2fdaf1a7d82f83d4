package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Phrasings of what is known of two things together: "For each ingredient of a recipe we store the quantity." */
final class PairingPhrasings extends SentenceForms {

    private static final String KEPT =
            "(?:we|they|you) (?:also )?(?:need(?: to know)?|store|record|keep|note|register|know|want(?: to know)?) (?:down )?(?:the |an? |its |their )?(.+)";

    private final Design design;
    private final SaidNouns said;

    PairingPhrasings(Design design, SaidNouns said) {
        super("each|every");
        this.design = design;
        this.said = said;
    }

    @Override
    void fill() {
        String two =
                "for (?:each|every) (.+?)(?: \\p{L}+ed| made| taken| given| sold| held)? (?:of|in|on|at|by|per|to|for|and) (?:an? |the |each |every )?(.+?)";
        form(two + ",? " + KEPT, m -> known(m.group(1), m.group(2), m.group(3)));
        form(
                two + ",? the (.+) (?:is|are) (?:given|stored|recorded|kept|noted|registered|known)",
                m -> known(m.group(1), m.group(2), m.group(3)));
        form(
                "(?:in|for|at|during) (?:an?|each|every) (.+?),? (?:each|every) (.+?) (?:gets|has|receives|is given|scores|reaches) ((?:an?|its|their) .+)",
                m -> known(m.group(1), m.group(2), m.group(3)));
        form(
                "the (.+?) of (?:each|every) (.+?) (?:in|on|at|by|per|to|for) (?:an?|the|each|every) (.+?) (?:is|are) (?:stored|recorded|kept|noted|registered)",
                m -> known(m.group(2), m.group(3), m.group(1)));
    }

    /** Where one relationship of many to many joins the two. */
    private Optional<Phrasing> known(String one, String other, String list) {
        Optional<Entity> first = said.entity(one);
        Optional<Entity> second = said.entity(other);
        if (first.isEmpty() || second.isEmpty()) {
            return Optional.empty();
        }
        List<Relationship> joining = design.relationshipsOf(first.get().id())
                .filter(each -> each.touches(second.get().id()) && each.isManyToMany())
                .toList();
        return joining.size() == 1
                ? new Owners(design, said.nouns())
                        .called(joining.get(0).id())
                        .map(noun -> ReadAs.of("Each " + noun + " has "
                                + SaidNouns.members(list).stream()
                                        .map(SaidItem::item)
                                        .collect(Collectors.joining(", "))
                                + "."))
                : Optional.empty();
    }
}
