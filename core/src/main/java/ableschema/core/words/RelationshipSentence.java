package ableschema.core.words;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Edit;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.Compound;
import ableschema.core.edit.Edits;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads {@code Each hive stands in exactly one apiary; each apiary shelters any number of hives (on delete cascade).} */
final class RelationshipSentence {

    /** "Each lock to one canal": what a verb left behind. */
    static final Pattern NO_VERB = Pattern.compile("to|of|in|on|at|by|for|from|with", Pattern.CASE_INSENSITIVE);

    /** What stands for a verb where none has been said. */
    static final String UNSAID_VERB = "is related to";

    private static final Pattern STRAY = Pattern.compile(
            ",| (?:and|or|who|which|that|whose|where|each|has|is|are|can|may|must) ", Pattern.CASE_INSENSITIVE);

    private final Design design;
    private final Optional<Relationship> about;
    private final IdSource ids;
    private final List<Edit> edits = new ArrayList<>();
    private String line = "";
    private Nouns nouns;

    /** @param about the relationship that the sentence is to change; empty for the one that it names, or a new one */
    RelationshipSentence(Design design, Optional<Relationship> about, IdSource ids) {
        this.design = design;
        this.about = about;
        this.ids = ids;
        this.nouns = Nouns.of(design);
    }

    /** clause = "each" SUBJECT VERB quantity OBJECT ; positions are those in the whole line. */
    private record Clause(String subjectAndVerb, int start, Cardinality cardinality, String object, int objectStart) {}

    /** sentence = clause [ ";" clause ] [ "(" option { ";" option } ")" ] [ "." ] */
    Understanding read(String text, int start) {
        line = text;
        var options = RelationshipOptions.cutFrom(text);
        String said = options.before();
        String masked = Quoted.masked(said);
        int semicolon = masked.indexOf(';');
        Clause forth = clause(said, masked, start, semicolon < 0 ? said.length() : semicolon);
        Optional<Clause> back = semicolon < 0 || said.substring(semicolon + 1).isBlank()
                ? Optional.empty()
                : Optional.of(clause(said, masked, skipSpace(said, semicolon + 1), said.length()));
        String subject = back.flatMap(clause -> said(forth.subjectAndVerb(), clause.object()))
                .map(name -> forth.subjectAndVerb().substring(0, name.length()))
                .orElseGet(() -> leadingNoun(forth));
        Entity first = entity(subject, List.of(subject));
        boolean several = forth.cardinality().isMany() && !forth.cardinality().equals(Cardinality.AT_LEAST_ONE);
        List<String> names = several ? nouns.singulars(forth.object()) : List.of(forth.object());
        Entity second = entity(
                forth.object(),
                back.flatMap(clause -> said(clause.subjectAndVerb(), forth.object()))
                        .map(List::of)
                        .orElse(names));
        String verb = verb(forth, subject);
        Optional<String> inverse = back.map(clause -> inverse(clause, first, second));
        Cardinality ofFirst = back.map(Clause::cardinality).orElse(Cardinality.ANY_NUMBER);
        return understood(
                new End(first.id(), verb, ofFirst, ""),
                new End(second.id(), inverse.orElse(""), forth.cardinality(), ""),
                back.isPresent(),
                options);
    }

    private Understanding understood(End first, End second, boolean bothSaid, RelationshipOptions options) {
        Optional<Relationship> known =
                about.filter(r -> r.first().entity().equals(first.entity())).or(() -> known(first, second, bothSaid));
        Optional<Relationship> reversed = known.isPresent()
                ? Optional.empty()
                : about.filter(r -> r.second().entity().equals(first.entity())).or(() -> known(second, first, true));
        Edits names = new Edits(withNew(), ids);
        if (known.isPresent() || reversed.isPresent()) {
            Relationship before = known.or(() -> reversed).orElseThrow();
            Side side = known.isPresent() ? Side.FIRST : Side.SECOND;
            Relationship changed = before.with(side, changed(before.end(side), first, bothSaid, true))
                    .with(side.other(), changed(before.end(side.other()), second, true, bothSaid));
            edits.add(names.changeRelationship(options.applyTo(changed, side)));
        } else {
            Relationship made = about.map(r -> r.with(Side.FIRST, first).with(Side.SECOND, second))
                    .orElseGet(() -> Relationship.between(ids.next(IdKind.RELATIONSHIP), first, second));
            edits.add(names.addRelationship(options.applyTo(made, Side.FIRST)));
        }
        String name = edits.get(edits.size() - 1).name();
        return new Understanding.Understood(
                edits.size() == 1 ? edits.get(0) : new Compound(name, edits), gist(name), Optional.of(first.entity()));
    }

    private static End changed(End before, End said, boolean numberSaid, boolean verbSaid) {
        End end = numberSaid ? before.withCardinality(said.cardinality()) : before;
        return (verbSaid ? end.withVerb(said.verb()) : end).withEntity(said.entity());
    }

    private String gist(String name) {
        List<String> added = edits.stream()
                .filter(AddEntity.class::isInstance)
                .map(edit -> ((AddEntity) edit).entity().name())
                .toList();
        return added.isEmpty() ? name : name + ", with the new " + Sentences.listed(added);
    }

    private Design withNew() {
        Design design = this.design;
        for (Edit edit : edits) {
            design = edit instanceof AddEntity add ? design.with(add.entity()) : design;
        }
        return design;
    }

    /**
     * The relationship that these ends are said of: the one with both verbs, else the one with the first verb of which
     * the other reading has not been said.
     */
    private Optional<Relationship> known(End first, End second, boolean bothSaid) {
        List<Relationship> alike = design.relationshipsOf(first.entity())
                .filter(r -> r.first().entity().equals(first.entity())
                        && r.second().entity().equals(second.entity())
                        && r.first().verb().equalsIgnoreCase(first.verb()))
                .toList();
        return alike.stream()
                .filter(r -> r.second().verb().equalsIgnoreCase(second.verb()))
                .findFirst()
                .or(() -> alike.stream()
                        .filter(r -> !bothSaid || r.second().verb().isEmpty())
                        .findFirst());
    }

    private Clause clause(String text, String masked, int start, int end) {
        if (!text.regionMatches(true, start, "each ", 0, 5)) {
            throw new Misunderstanding(start, endOfWord(text, start), "the other reading begins with 'each' too");
        }
        int from = start + 5;
        String whole = text.substring(0, end);
        Quantity.Found quantity = Quantity.find(masked.substring(0, end), from)
                .orElseThrow(
                        () -> new Misunderstanding(
                                from,
                                end,
                                "how many? expected words such as 'exactly one', 'at most one', 'at least one' or 'any number of'"));
        requireNoSlip(text, masked, from, quantity.start());
        String object =
                SaidNouns.withoutStops(whole.substring(quantity.end()).strip()).strip();
        if (object.isEmpty()) {
            throw new Misunderstanding(quantity.end() - 1, quantity.end(), "expected an entity behind this");
        }
        requireNoun(object, text.indexOf(object, quantity.end()));
        return new Clause(
                whole.substring(from, quantity.start()).strip(),
                from,
                quantity.cardinality(),
                object,
                text.indexOf(object, quantity.end()));
    }

    /** Words of the grammar are swallowed by no name: "one book and one member" is no entity. */
    private void requireNoun(String object, int start) {
        String masked = Quoted.masked(object);
        Matcher stray = STRAY.matcher(masked);
        if (!Quoted.is(object) && nouns.entity(object).isEmpty() && stray.find()) {
            throw new Misunderstanding(
                    start + stray.start(),
                    start + object.length(),
                    "only one entity stands here; say the rest in a sentence of its own, or put the name between quotes");
        }
    }

    /** The form of a noun that a text begins with: its singular where the noun is a plural. */
    private Optional<String> said(String text, String noun) {
        return nouns.singulars(noun).stream()
                .filter(form ->
                        text.regionMatches(true, 0, form, 0, form.length()) && text.startsWith(" ", form.length()))
                .findFirst();
    }

    /** A new entity is called by no more words than these, unless its name is quoted. */
    private static final int MOST_WORDS = 4;

    private String leadingNoun(Clause clause) {
        String text = clause.subjectAndVerb();
        int known = nouns.leadingLength(text);
        if (known > 0) {
            return text.substring(0, known + LongerNoun.ofOne(text.substring(known)));
        }
        int quoted = Quoted.end(text, 0);
        if (quoted > 0) {
            return text.substring(0, quoted);
        }
        return text.substring(0, endOfNewNoun(text));
    }

    /** A noun that is not known goes on up to what looks like a verb: "forage plant" in "forage plant grows at". */
    private static int endOfNewNoun(String text) {
        int first = text.indexOf(' ');
        int at = first;
        for (int words = 1; words <= MOST_WORDS && at >= 0; words++) {
            int next = text.indexOf(' ', at + 1);
            String word =
                    text.substring(at + 1, next < 0 ? text.length() : next).toLowerCase(Locale.ROOT);
            if (word.endsWith("s") && !word.endsWith("ss") && !word.endsWith("us")) {
                return at;
            }
            at = next;
        }
        return first < 0 ? text.length() : first;
    }

    /** Points at a word before the number that is nearly, but not quite, one of the words for how many. */
    private static void requireNoSlip(String text, String masked, int from, int end) {
        String before = masked.substring(from, end).stripTrailing();
        if (before.isBlank()) {
            throw new Misunderstanding(
                    from,
                    Math.min(text.length(), end == from ? end + 1 : end),
                    "expected an entity and a verb before the number");
        }
        int start = before.lastIndexOf(' ') + 1;
        String word = before.substring(start).toLowerCase(Locale.ROOT);
        boolean behindAt = before.toLowerCase(Locale.ROOT).endsWith(" at " + word);
        boolean slip = Spelling.distance(word, "exactly") <= 2
                || (behindAt && (Spelling.distance(word, "least") <= 1 || Spelling.distance(word, "most") <= 2));
        if (slip) {
            throw new Misunderstanding(
                    from + start,
                    from + before.length(),
                    "expected words for how many, such as 'exactly one', 'at least one' or 'at most one'");
        }
    }

    private static String verb(Clause clause, String subject) {
        String verb = clause.subjectAndVerb().substring(subject.length()).strip();
        if (verb.isEmpty()) {
            throw new Misunderstanding(
                    clause.start(), clause.start() + subject.length(), "expected a verb behind '" + subject + "'");
        }
        if (NO_VERB.matcher(verb).matches()) {
            throw new Misunderstanding(
                    clause.start(),
                    clause.start() + clause.subjectAndVerb().length(),
                    "a verb is missing before '" + verb + "', as in: Each " + subject + " belongs to …");
        }
        return verb.equalsIgnoreCase(UNSAID_VERB) ? "" : Quoted.plain(verb);
    }

    private String inverse(Clause back, Entity first, Entity second) {
        String text = back.subjectAndVerb();
        int length = nouns.leadingLength(text);
        if (length == 0
                || nouns.entity(text.substring(0, length))
                        .filter(e -> e.id().equals(second.id()))
                        .isEmpty()) {
            throw new Misunderstanding(
                    back.start(), back.start() + text.length(), "the other reading is about each " + second.name());
        }
        if (!nouns.means(back.object(), first.name())) {
            throw new Misunderstanding(
                    back.objectStart(),
                    back.objectStart() + back.object().length(),
                    "the other reading leads back to " + first.name() + ", not to " + back.object());
        }
        return verb(back, text.substring(0, length));
    }

    /** The entity that a noun means, or a new one by the first of these names. */
    private Entity entity(String noun, List<String> names) {
        return nouns.entity(noun).orElseGet(() -> {
            Entity entity = Entity.named(ids.next(IdKind.ENTITY), nouns.newName(names.get(0), line));
            edits.add(new AddEntity(entity, Optional.empty()));
            nouns = Nouns.of(withNew());
            return entity;
        });
    }

    private static int skipSpace(String text, int at) {
        int next = at;
        while (next < text.length() && Character.isWhitespace(text.charAt(next))) {
            next++;
        }
        return next;
    }

    private static int endOfWord(String text, int at) {
        int space = text.indexOf(' ', at);
        return space < 0 ? text.length() : space;
    }
}
