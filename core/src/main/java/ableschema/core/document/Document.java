package ableschema.core.document;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Lists;
import ableschema.core.mapping.Mapping;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A design with all that belongs to working on it. Positions are apart from meaning: a moved card leaves the design the
 * same instance.
 *
 * @param diagrams the pictures of the design, of which the first shows all of it
 * @param inView   the name of the picture that is worked on; it is not kept in the file
 */
public record Document(String title, Design design, List<Diagram> diagrams, HouseRules rules, String inView) {

    public static final Document EMPTY = of("", Design.EMPTY, List.of(Diagram.WHOLE), HouseRules.USUAL);

    public Document {
        if (diagrams.isEmpty()) {
            throw new IllegalArgumentException("a document has at least one diagram");
        }
        diagrams = List.copyOf(diagrams);
    }

    /** A document with its first picture in view. */
    public static Document of(String title, Design design, List<Diagram> diagrams, HouseRules rules) {
        return new Document(
                title,
                design,
                diagrams,
                rules,
                diagrams.isEmpty() ? "" : diagrams.get(0).name());
    }

    /** The picture that is in view. */
    public Diagram diagram() {
        return diagram(inView).orElse(diagrams.get(0));
    }

    public Optional<Diagram> diagram(String name) {
        return diagrams.stream().filter(d -> d.name().equals(name)).findFirst();
    }

    public Optional<Position> position(Id id) {
        return diagram().position(id);
    }

    /** The tables that follow from the design under the house rules, with their trace. */
    public Mapping mapping() {
        return mapping(Mapping.NONE);
    }

    /** The dialect that the house writes for, as chosen. */
    public Dialect dialect() {
        return Dialects.named(rules.dialect()).orElse(Dialects.STANDARD).choosing(rules.choices());
    }

    /** Derives the tables anew, as far as they differ from those before. */
    public Mapping mapping(Mapping before) {
        return before.after(design, rules.naming(), rules.reasonsInSql());
    }

    /** Returns this document with another design; entities that are new in it are shown in the picture in view. */
    public Document with(Design design) {
        if (design == this.design) {
            return this;
        }
        var changed = new Document(title, design, diagrams, rules, inView);
        return diagram().isWhole() ? changed : changed.with(diagram().withPart(partWithNew(design)));
    }

    private List<Id> partWithNew(Design changed) {
        return Stream.concat(
                        diagram().part().stream(),
                        changed.entities().stream().map(Entity::id).filter(id -> design.entity(id)
                                .isEmpty()))
                .toList();
    }

    public Document withTitle(String title) {
        return new Document(title, design, diagrams, rules, inView);
    }

    /** Returns this document with the picture of the same name replaced. */
    public Document with(Diagram diagram) {
        return withDiagrams(Lists.replace(diagrams, Diagram::name, diagram));
    }

    public Document withDiagrams(List<Diagram> diagrams) {
        return new Document(title, design, diagrams, rules, inView);
    }

    /** Returns this document with another of its pictures in view. */
    public Document viewing(String diagram) {
        return diagram.equals(inView) ? this : new Document(title, design, diagrams, rules, diagram);
    }

    public Document moved(Map<Id, Position> positions) {
        return with(diagram().with(positions));
    }

    public Document with(HouseRules rules) {
        return new Document(title, design, diagrams, rules, inView);
    }

    /** Says whether both would be kept in a file as the same; cheap, as it compares instances. */
    public boolean isKeptAs(Document other) {
        return title.equals(other.title)
                && design == other.design
                && rules.equals(other.rules)
                && diagrams.equals(other.diagrams);
    }
}
