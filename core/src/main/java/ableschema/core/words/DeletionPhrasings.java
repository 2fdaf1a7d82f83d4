package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Phrasings of what becomes of the rows that refer to one that is deleted: "If an invoice is deleted, its lines go too." */
final class DeletionPhrasings extends SentenceForms {

    private static final String GONE = "(?:deleted|removed|erased|dropped)";
    private static final String ITS = "(?:all )?(?:of )?(?:its|their|the|his|her)? ?";

    private final Design design;
    private final SaidNouns said;

    DeletionPhrasings(Design design, SaidNouns said) {
        super("delet\\w+|remov\\w+|eras\\w+|dropp\\w+|drop|gone");
        this.design = design;
        this.said = said;
    }

    @Override
    void fill() {
        String when = "(?:if|when|whenever|once|as soon as) (?:an?|the|one) (.+?) is " + GONE + ",? (?:then )?";
        form(
                when + ITS + "(.+?) (?:(?:is|are|must be|have to be|should be|get|gets) (?:also )?" + GONE
                        + "|goes|go|disappears?|vanish(?:es)?)(?: too| as well| also| with (?:it|them)| along with it| along)?",
                m -> action(m.group(1), m.group(2), "cascade"));
        form(
                "(?:(?:if|when) )?(?:(?:we|you|they) )?(?:delete|remove) (?:an?|the|one) (.+?)(?:,| and|, and| then)? "
                        + ITS
                        + "(.+?) (?:goes|go|disappears?|vanish(?:es)?|(?:is|are) " + GONE
                        + ")(?: too| as well| also| with (?:it|them))?",
                m -> action(m.group(1), m.group(2), "cascade"));
        form(
                "(?:deleting|removing) (?:an?|the|one) (.+?) (?:also )?(?:deletes|removes) (?:also )?" + ITS + "(.+)",
                m -> action(m.group(1), m.group(2), "cascade"));
        form(
                "(?:an? |the |all |each |every )?(.+?) (?:is|are) (?:also )?" + GONE
                        + " (?:together |along )?with (?:its|their|the) (.+)",
                m -> action(m.group(2), m.group(1), "cascade"));
        form(
                "(?:an? |the |each |every )?(.+?) (?:cannot|can't|can not|must not|mustn't|may not) be " + GONE
                        + " (?:while|as long as|if|when) (?:it|they|there) (?:still )?(?:has|have|is|are) (?:still )?(?:any |an? )?(.+?)"
                        + "(?: (?:of|for|on|in|at|with) (?:it|them))?",
                m -> action(m.group(1), m.group(2), "restrict"));
        form(
                "(?:we|you|they) (?:do not|don't|never|must not|cannot|can't) (?:delete|remove) (?:an? )?(.+?) (?:that|which|who|with)"
                        + " (?:still )?(?:has |have )?(?:still )?(.+)",
                m -> action(m.group(1), m.group(2), "restrict"));
        form(
                "(?:an? )?(.+?) (?:with|that (?:still )?ha(?:s|ve)) (.+?) (?:cannot|can't|can not|must not|may not) be "
                        + GONE,
                m -> action(m.group(1), m.group(2), "restrict"));
        form(
                when + "(?:an?|the) (.+?) of " + ITS
                        + "(.+?) (?:is|becomes|is left|is set to|is set) (?:empty|null|emptied|unknown)",
                m -> said.one(m.group(1)).equals(said.one(m.group(2)))
                        ? action(m.group(1), m.group(3), "set null")
                        : Optional.empty());
        form(
                when + ITS + "(.+?) (?:stay|stays|remain|remains|are kept|is kept)(?: without (?:it|one))?",
                m -> action(m.group(1), m.group(2), "set null"));
    }

    private Optional<Phrasing> action(String whole, String parts, String action) {
        Optional<Entity> deleted = said.entity(whole);
        if (deleted.isEmpty()) {
            return refused("no entity is called " + SaidNouns.bare(whole) + " yet; say first how the two are related");
        }
        List<Relationship> between = design.relationshipsOf(deleted.get().id())
                .filter(each -> !each.isSubtype() && !each.isManyToMany())
                .filter(each -> isCalled(other(each, deleted.get()), deleted.get(), parts))
                .toList();
        return switch (between.size()) {
            case 0 ->
                refused("no rule leads from one " + one(parts, deleted.get()) + " to at most one " + said.one(whole)
                        + " yet; say it first, as in: Each " + one(parts, deleted.get()) + " belongs to exactly one "
                        + said.one(whole));
            case 1 -> {
                String sentence = new Sentences(design).of(between.get(0));
                yield readAs(sentence.substring(0, sentence.length() - 1) + " (on delete " + action + ").");
            }
            default ->
                refused("several rules relate the two. Say it behind the one that is meant, as in: "
                        + new Sentences(design)
                                .of(between.get(0))
                                .replaceFirst("\\.$", " (on delete " + action + ")."));
        };
    }

    private Entity other(Relationship relationship, Entity one) {
        return design.at(
                relationship.end(relationship.end(Side.FIRST).entity().equals(one.id()) ? Side.SECOND : Side.FIRST));
    }

    private String one(String parts, Entity whole) {
        return design.entities().stream()
                .filter(entity -> isCalled(entity, whole, parts))
                .findFirst()
                .map(said.nouns()::one)
                .orElseGet(() -> said.one(parts));
    }

    /** "Its lines" are the invoice lines of an invoice. */
    private boolean isCalled(Entity entity, Entity whole, String noun) {
        String bare = SaidNouns.bare(noun);
        String within = whole.name() + " " + bare;
        return said.nouns().means(bare, entity.name())
                || said.nouns().means(within.toLowerCase(Locale.ROOT), entity.name());
    }
}
