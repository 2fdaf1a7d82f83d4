package ableschema.core.words;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.Dependency;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.KeyAnswer;
import ableschema.core.design.Pins;
import ableschema.core.design.Plural;
import ableschema.core.design.Reference;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.Unique;
import ableschema.core.design.Volume;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.edit.SubtypeEdits;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Says a whole design, and counts what words cannot say. The sentences, read one after the other into an empty design,
 * give one of the same meaning but for what was counted.
 */
public final class DesignText {

    private final Design design;
    private final Sentences sentences;
    private final Nouns nouns;
    private final Owners owners;
    private final List<Sentence> said = new ArrayList<>();
    private final Map<String, Integer> notSaid = new LinkedHashMap<>();
    /** The relationships that have no words, so that no key is said through them. */
    private final Set<Id> leftOut = new HashSet<>();

    private final List<Relationship> readBefore = new ArrayList<>();

    private DesignText(Design design) {
        this.design = design;
        this.sentences = new Sentences(design);
        this.nouns = Nouns.of(design);
        this.owners = new Owners(design, nouns);
    }

    public static DesignText of(Design design) {
        var text = new DesignText(design);
        text.sayAll();
        return text;
    }

    /** The same, with what there is in a document beside its design counted among what is not said. */
    public static DesignText of(Document document) {
        DesignText text = of(document.design());
        text.count("title", document.title().isEmpty() ? 0 : 1);
        text.count("part-picture", (int)
                document.diagrams().stream().filter(each -> !each.isWhole()).count());
        text.count("district", document.diagram().districts().size());
        text.count("place of a card", document.diagram().positions().size());
        HouseRules rules = document.rules();
        HouseRules usual = HouseRules.USUAL;
        text.count("starter", rules.starters().size());
        text.count(
                "house rule",
                (rules.naming().equals(usual.naming()) ? 0 : 1)
                        + (rules.dialect().equals(usual.dialect()) ? 0 : 1)
                        + (rules.reasonsInSql() == usual.reasonsInSql() ? 0 : 1)
                        + (rules.farLines() == usual.farLines() ? 0 : 1)
                        + rules.choices().size());
        return text;
    }

    /** Only what is said of one entity or relationship. */
    public static List<Sentence> about(Design design, Id owner) {
        var text = new DesignText(design);
        design.entity(owner).ifPresent(text::sayEntity);
        // only relationships between the same two could be taken for each other, so the others need not be said
        Id entity = design.relationship(owner).map(r -> r.first().entity()).orElse(owner);
        design.relationshipsOf(entity).forEach(text::sayRelationship);
        design.body(owner).ifPresent(body -> text.sayBody(owner, body));
        design.notes().volume(owner).ifPresent(volume -> text.sayVolume(owner, volume));
        design.notes().answers().stream()
                .filter(answer ->
                        design.ownerOf(answer.about()).orElse(answer.about()).equals(owner))
                .forEach(text::sayAnswer);
        return text.sentences().stream()
                .filter(said -> said.about().equals(owner))
                .toList();
    }

    /** All sentences, part after part. */
    public List<Sentence> sentences() {
        return said.stream().sorted(Comparator.comparing(Sentence::part)).toList();
    }

    /** How many things of each sort there are no words for. */
    public Map<String, Integer> notSaid() {
        return Map.copyOf(notSaid);
    }

    /** "not said in words: 3 indexes, 42 rows"; empty where everything is said. */
    public Optional<String> omissions() {
        return notSaid.isEmpty()
                ? Optional.empty()
                : Optional.of("not said in words: "
                        + notSaid.entrySet().stream()
                                .map(e -> e.getValue() + " " + (e.getValue() == 1 ? e.getKey() : several(e.getKey())))
                                .collect(joining(", ")));
    }

    private static String several(String sort) {
        int of = sort.indexOf(" of ");
        return of < 0 ? Plural.ENGLISH.of(sort) : Plural.ENGLISH.of(sort.substring(0, of)) + sort.substring(of);
    }

    /** The sentences one a line, under a heading for each part. */
    public String text() {
        var text = new StringBuilder();
        Sentence.Part part = null;
        for (Sentence each : sentences()) {
            if (each.part() != part) {
                part = each.part();
                text.append(text.isEmpty() ? "" : "\n")
                        .append("# ")
                        .append(part.title())
                        .append('\n');
            }
            text.append(each.text()).append('\n');
        }
        return text.toString();
    }

    private void say(Id about, Sentence.Part part, String text) {
        say(about, about, part, text);
    }

    private void say(Id about, Id thing, Sentence.Part part, String text) {
        said.add(new Sentence(about, thing, part, text));
    }

    private void count(String sort, int number) {
        if (number > 0) {
            notSaid.merge(sort, number, Integer::sum);
        }
    }

    private void countPins(Pins pins) {
        count("pinned name", pins.names().size() + (pins.namespace().isEmpty() ? 0 : 1));
        count("place of a column", pins.place() > 0 ? 1 : 0);
        count("option of a database", pins.options().size());
    }

    private void sayAll() {
        design.domains().forEach(this::sayDomain);
        design.entities().forEach(this::sayEntity);
        design.relationships().forEach(this::sayRelationship);
        design.entities().forEach(entity -> sayBody(entity.id(), entity.body()));
        design.relationships().forEach(r -> sayBody(r.id(), r.body()));
        design.notes().volumes().forEach(this::sayVolume);
        count("set-aside finding", design.notes().setAside().size());
        count("question", design.notes().brief().questions().size());
        count("purpose", design.notes().brief().purpose().isEmpty() ? 0 : 1);
        count("told text", design.notes().brief().told().isEmpty() ? 0 : 1);
        count("carried statement", design.notes().kept().size());
        count("reason", design.notes().reasons().size());
        count("judgement", design.notes().judgements().size());
        design.notes().answers().forEach(this::sayAnswer);
    }

    private void sayDomain(Domain domain) {
        var words = new DomainWords(design);
        say(domain.id(), Sentence.Part.DOMAINS, words.said(domain));
        count("domain rule", domain.check().equals(words.sayable(domain).check()) ? 0 : 1);
        count(
                "domain default",
                domain.defaultValue().equals(words.sayable(domain).defaultValue()) ? 0 : 1);
        countPins(domain.pins());
        count("domain note", domain.comment().isEmpty() ? 0 : 1);
    }

    private void sayEntity(Entity entity) {
        String kind = entity.kind().name();
        boolean plain = isPlainKind(kind) && !nouns.knows(kind); // else it would be a kind of that entity
        String saidKind = kind.isEmpty() ? "entity" : plain ? kind : Quoted.of(kind);
        String name = nouns.declared(entity);
        String plural = design.notes().plurals().get(entity.name().toLowerCase(Locale.ROOT));
        if (plural != null) {
            say(
                    entity.id(),
                    Sentence.Part.ENTITIES,
                    "The plural of " + Nouns.listed(Nouns.inSentence(entity.name())) + " is " + Nouns.listed(plural)
                            + ".");
        }
        String definition = entity.definition();
        say(
                entity.id(),
                Sentence.Part.ENTITIES,
                name + " is " + Sentences.article(saidKind) + (definition.isEmpty() ? "." : ": " + text(definition)));
        if (entity.parked()) {
            say(entity.id(), Sentence.Part.ENTITIES, name + " is set aside.");
        }
        countPins(entity.pins());
    }

    private static boolean isPlainKind(String kind) {
        return kind.matches("\\p{Ll}+(?:[ -]\\p{Ll}+)*")
                && Nouns.isPlain(kind)
                && !kind.equals("entity")
                && !kind.startsWith("kind of ");
    }

    /** A text at the end of a line, between quotes where it could be taken for something else. */
    private static String text(String text) {
        boolean plain = text.equals(text.strip())
                && text.chars().noneMatch(c -> c == '"' || c == '\n' || c == '\r')
                && !text.contains("->")
                && !text.contains(" kind of ")
                && !text.contains(" is set aside");
        return plain ? text : Quoted.of(text);
    }

    private void sayRelationship(Relationship r) {
        countPins(r.pins());
        for (Side side : r.referencedSides()) {
            Reference reference = r.end(side).reference();
            count("column note", reference.columns().size());
            countPins(reference.pins());
            count("reference by another key", reference.targetKey().isPresent() ? 1 : 0);
        }
        if (r.isSubtype()) {
            if (isUsualSubtype(r)) {
                say(r.id(), Sentence.Part.KINDS, sentences.of(r));
            } else {
                leaveOut(r, "subtype");
            }
        } else if (readBefore.stream().anyMatch(before -> wouldBeTakenFor(before, r))) {
            leaveOut(r, "relationship");
        } else {
            String both = sentences.of(r);
            String options = RelationshipOptions.said(r);
            say(r.id(), Sentence.Part.RELATIONSHIPS, both.substring(0, both.length() - 1) + options + ".");
        }
        readBefore.add(r);
    }

    private void leaveOut(Relationship r, String sort) {
        count(sort, 1);
        leftOut.add(r.id());
    }

    private boolean isUsualSubtype(Relationship r) {
        End usualFirst = new End(r.first().entity(), SubtypeEdits.MAY_BE, Cardinality.EXACTLY_ONE, "");
        End usualSecond = new End(r.second().entity(), SubtypeEdits.IS, Cardinality.AT_MOST_ONE, "");
        return r.first().equals(usualFirst)
                && r.second().equals(usualSecond)
                && r.noun().isEmpty()
                && r.reference().onDelete() == ReferenceAction.NO_ACTION
                && r.reference().onUpdate() == ReferenceAction.NO_ACTION
                && !design.at(r.second()).body().key().isEmpty();
    }

    private static boolean wouldBeTakenFor(Relationship before, Relationship r) {
        return likened(before, r.first(), r.second()) || likened(before, r.second(), r.first());
    }

    private static boolean likened(Relationship before, End first, End second) {
        return before.first().entity().equals(first.entity())
                && before.second().entity().equals(second.entity())
                && before.first().verb().equalsIgnoreCase(first.verb())
                && (before.second().verb().isEmpty() || before.second().verb().equalsIgnoreCase(second.verb()));
    }

    private void sayBody(Id owner, Body body) {
        count("row", body.rows().size());
        // of a rule that is not said nothing can be said
        Optional<String> called = owners.called(owner).filter(noun -> design.relationship(owner)
                .filter(r -> !r.isManyToMany() || leftOut.contains(r.id()))
                .isEmpty());
        var words = new AttributeWords(design, body);
        if (called.isEmpty()) {
            count("index", body.indexes().size());
            count("attribute", body.attributes().size());
            count("key", body.key().isEmpty() ? 0 : 1);
            count(
                    "rule",
                    body.uniques().size()
                            + body.checks().size()
                            + body.dependencies().size());
            return;
        }
        List<String> attributes = words.said();
        if (!attributes.isEmpty()) {
            Sentence.Part part = design.entity(owner).isPresent() ? Sentence.Part.ATTRIBUTES : Sentence.Part.PAIRINGS;
            say(owner, part, "Each " + called.get() + " has " + String.join(", ", attributes) + ".");
        }
        count("attribute", words.unsaid());
        count("refused dependency", body.refused().size());
        for (Attribute attribute : body.attributes()) {
            count("default", words.saysDefault(attribute) ? 0 : 1);
            countPins(attribute.pins());
        }
        sayKeys(owner, body, called.get(), words);
        sayChecks(owner, body, called.get(), words);
        body.dependencies().forEach(dependency -> sayDependency(owner, called.get(), dependency));
        sayComputed(owner, body, called.get());
        sayIndexes(owner, body, called.get());
        body.attributes().forEach(attribute -> sayComment(owner, called.get(), attribute));
    }

    private void sayKeys(Id owner, Body body, String called, AttributeWords words) {
        var names = new PartNames(design, owner, leftOut);
        if (!body.key().isEmpty() && !words.saysKey()) {
            names.listed(body.key())
                    .ifPresentOrElse(
                            parts -> say(
                                    owner,
                                    Sentence.Part.KEYS,
                                    "Each " + called + " is identified by its " + parts + "."),
                            () -> count("key", 1));
        }
        for (Unique unique : body.uniques()) {
            countPins(unique.pins());
            if (body.attributes().stream().anyMatch(a -> words.isMark(unique, a))) {
                continue;
            }
            String several = design.entity(owner).map(nouns::many).orElse(called);
            names.listed(unique.parts())
                    .ifPresentOrElse(
                            parts -> say(
                                    owner,
                                    unique.id(),
                                    Sentence.Part.KEYS,
                                    "No two " + several + " share their " + parts + "."),
                            () -> count("rule", 1));
        }
    }

    private void sayChecks(Id owner, Body body, String called, AttributeWords words) {
        var text = new CheckText(design, owner);
        for (Check check : body.checks()) {
            countPins(check.pins());
            if (words.says(check)) {
                continue;
            }
            text.said(check.expression())
                    .ifPresentOrElse(
                            rule -> say(
                                    owner, check.id(), Sentence.Part.CHECKS, "Of each " + called + ": " + rule + "."),
                            () -> count("rule", 1));
        }
    }

    private void sayComputed(Id owner, Body body, String called) {
        if (body.attributes().stream().noneMatch(each -> each.filling().isComputed())) {
            return;
        }
        var text = new CheckText(design, owner);
        for (Attribute attribute : body.attributes()) {
            if (attribute.filling().isComputed()) {
                text.saidComputed(attribute)
                        .ifPresentOrElse(
                                value -> say(
                                        owner,
                                        attribute.id(),
                                        Sentence.Part.COMPUTED,
                                        "The " + Nouns.listed(attribute.name()) + " of each " + called
                                                + " is computed from " + value + "."),
                                () -> count("computation", 1));
            }
        }
    }

    private void sayIndexes(Id owner, Body body, String called) {
        var text = new IndexText(design, owner);
        for (Index index : body.indexes()) {
            countPins(index.pins());
            text.said(index)
                    .ifPresentOrElse(
                            columns -> say(
                                    owner,
                                    index.id(),
                                    Sentence.Part.INDEXES,
                                    "Each " + called + " is often " + index.purpose() + " by its " + columns + "."),
                            () -> count("index", 1));
        }
    }

    private void sayDependency(Id owner, String called, Dependency dependency) {
        var names = new PartNames(design, owner, leftOut);
        Optional<String> from = names.withCommas(dependency.from());
        Optional<String> to = names.withCommas(dependency.to());
        if (from.isPresent() && to.isPresent()) {
            String start = Character.toUpperCase(called.charAt(0)) + called.substring(1);
            say(
                    owner,
                    dependency.id(),
                    Sentence.Part.DEPENDENCIES,
                    start + ": " + from.get() + (dependency.multivalued() ? " ->> " : " -> ") + to.get());
        } else {
            count("dependency", 1);
        }
    }

    private void sayAnswer(KeyAnswer answer) {
        Optional<Attribute> attribute = design.attribute(answer.about());
        Id owner = design.ownerOf(answer.about()).orElse(answer.about());
        Optional<String> noun = owners.called(owner);
        boolean findable = attribute
                .filter(each -> design.body(owner)
                        .flatMap(body -> body.attribute(each.name()))
                        .filter(each::equals)
                        .isEmpty())
                .isEmpty();
        boolean known = design.entity(owner).isPresent() || attribute.isPresent();
        if (noun.isEmpty() || !findable || !known) {
            count("answer", 1);
            return;
        }
        String text = attribute
                .map(each -> AnswerSentence.ofAttribute(
                        Nouns.listed(each.name()), noun.get(), answer.question(), answer.yes()))
                .orElseGet(() -> AnswerSentence.ofEntity(noun.get(), answer.yes()));
        say(owner, answer.about(), Sentence.Part.ANSWERS, text);
    }

    private void sayVolume(Id owner, Volume volume) {
        design.entity(owner)
                .map(nouns::many)
                .or(() -> owners.called(owner))
                .ifPresentOrElse(
                        several -> say(owner, Sentence.Part.VOLUMES, VolumeSentence.said(several, volume)),
                        () -> count("expected number", 1));
    }

    private void sayComment(Id owner, String called, Attribute attribute) {
        if (!attribute.comment().isEmpty()) {
            say(
                    owner,
                    attribute.id(),
                    Sentence.Part.COMMENTS,
                    "About " + Nouns.listed(attribute.name()) + " of " + called + ": " + text(attribute.comment()));
        }
    }
}
