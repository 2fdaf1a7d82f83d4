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
import ableschema.core.edit.Edits;
import ableschema.core.edit.Several;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Reads {@code Each hive stands in exactly one apiary; each apiary shelters any number of hives.} */
final class RelationshipSentence {

    private final Design design;
    private final IdSource ids;
    private final List<Edit> edits = new ArrayList<>();

    RelationshipSentence(Design design, IdSource ids) {
        this.design = design;
        this.ids = ids;
    }

    /** clause = "each" SUBJECT VERB quantity OBJECT ; positions are those in the whole line. */
    private record Clause(String subjectAndVerb, int start, Cardinality cardinality, String object, int objectStart) {}

    Understanding read(String text, int start) {
        int semicolon = text.indexOf(';');
        Clause forth = clause(text, start, semicolon < 0 ? text.length() : semicolon);
        Optional<Clause> back = semicolon < 0 || text.substring(semicolon + 1).isBlank()
                ? Optional.empty()
                : Optional.of(clause(text, skipSpace(text, semicolon + 1), text.length()));
        String subject = back.flatMap(clause -> said(forth.subjectAndVerb(), clause.object()))
                .map(name -> forth.subjectAndVerb().substring(0, name.length()))
                .orElseGet(() -> leadingNoun(forth));
        Entity first = entity(subject, List.of(subject));
        List<String> names = forth.cardinality().isMany() ? Nouns.singulars(forth.object()) : List.of(forth.object());
        Entity second = entity(
                forth.object(),
                back.flatMap(clause -> said(clause.subjectAndVerb(), forth.object()))
                        .map(List::of)
                        .orElse(names));
        String verb = verb(forth, subject);
        Optional<String> inverse = back.map(clause -> inverse(clause, first, second));
        Cardinality ofFirst = back.map(Clause::cardinality).orElse(Cardinality.ANY_NUMBER);
        return understood(first, second, verb, inverse, ofFirst, forth.cardinality(), back.isPresent());
    }

    private Understanding understood(
            Entity first,
            Entity second,
            String verb,
            Optional<String> inverse,
            Cardinality ofFirst,
            Cardinality ofSecond,
            boolean bothSaid) {
        Optional<Relationship> known = known(first, second, verb);
        Optional<Relationship> reversed =
                known.isPresent() ? Optional.empty() : known(second, first, inverse.orElse(""));
        Edits names = new Edits(withNew(), ids);
        if (known.isPresent() || reversed.isPresent()) {
            Relationship before = known.or(() -> reversed).orElseThrow();
            Side side = known.isPresent() ? Side.FIRST : Side.SECOND;
            End from = before.end(side).withVerb(verb);
            End to = before.end(side.other()).withCardinality(ofSecond);
            Relationship changed = before.with(side, bothSaid ? from.withCardinality(ofFirst) : from)
                    .with(side.other(), inverse.map(to::withVerb).orElse(to));
            edits.add(names.changeRelationship(changed));
        } else {
            edits.add(names.addRelationship(Relationship.between(
                    ids.next(IdKind.RELATIONSHIP),
                    new End(first.id(), verb, ofFirst, ""),
                    new End(second.id(), inverse.orElse(""), ofSecond, ""))));
        }
        String name = edits.get(edits.size() - 1).name();
        return new Understanding.Understood(
                edits.size() == 1 ? edits.get(0) : new Several(name, edits), gist(name), Optional.of(first.id()));
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

    private Optional<Relationship> known(Entity first, Entity second, String verb) {
        return design.relationships().stream()
                .filter(r -> r.first().entity().equals(first.id())
                        && r.second().entity().equals(second.id())
                        && r.first().verb().equalsIgnoreCase(verb))
                .findFirst();
    }

    private Clause clause(String text, int start, int end) {
        if (!text.regionMatches(true, start, "each ", 0, 5)) {
            throw new Misunderstanding(start, endOfWord(text, start), "the other reading begins with 'each' too");
        }
        int from = start + 5;
        String whole = text.substring(0, end);
        Quantity.Found quantity = Quantity.find(whole, from)
                .orElseThrow(
                        () -> new Misunderstanding(
                                from,
                                end,
                                "how many? expected words such as 'exactly one', 'at most one', 'at least one' or 'any number of'"));
        requireNoSlip(text, from, quantity.start());
        String object = whole.substring(quantity.end())
                .strip()
                .replaceFirst("\\.+$", "")
                .strip();
        if (object.isEmpty()) {
            throw new Misunderstanding(quantity.end() - 1, quantity.end(), "expected an entity behind this");
        }
        return new Clause(
                whole.substring(from, quantity.start()).strip(),
                from,
                quantity.cardinality(),
                object,
                text.indexOf(object, quantity.end()));
    }

    /** The form of a noun that a text begins with: its singular where the noun is a plural. */
    private static Optional<String> said(String text, String noun) {
        return Nouns.singulars(noun).stream()
                .filter(form ->
                        text.regionMatches(true, 0, form, 0, form.length()) && text.startsWith(" ", form.length()))
                .findFirst();
    }

    private String leadingNoun(Clause clause) {
        String text = clause.subjectAndVerb();
        Optional<Entity> known = Nouns.leading(design, text);
        if (known.isPresent()) {
            return text.substring(0, Nouns.leadingLength(text, known.get().name()));
        }
        int space = text.indexOf(' ');
        return space < 0 ? text : text.substring(0, space);
    }

    /** Points at a word before the number that is nearly, but not quite, one of the words for how many. */
    private static void requireNoSlip(String text, int from, int end) {
        String before = text.substring(from, end).stripTrailing();
        if (before.isBlank()) {
            throw new Misunderstanding(
                    from, end == from ? end + 1 : end, "expected an entity and a verb before the number");
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
        return verb;
    }

    private String inverse(Clause back, Entity first, Entity second) {
        int length = Nouns.leadingLength(back.subjectAndVerb(), second.name());
        if (length == 0) {
            throw new Misunderstanding(
                    back.start(),
                    back.start() + back.subjectAndVerb().length(),
                    "the other reading is about each " + second.name());
        }
        if (!Nouns.means(back.object(), first.name())) {
            throw new Misunderstanding(
                    back.objectStart(),
                    back.objectStart() + back.object().length(),
                    "the other reading leads back to " + first.name() + ", not to " + back.object());
        }
        return verb(back, back.subjectAndVerb().substring(0, length));
    }

    /** The entity that a noun means, or a new one by the first of these names. */
    private Entity entity(String noun, List<String> names) {
        return Nouns.entity(withNew(), noun).orElseGet(() -> {
            Entity entity = Entity.named(ids.next(IdKind.ENTITY), Nouns.asName(names.get(0)));
            edits.add(new AddEntity(entity, Optional.empty()));
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
