package ableschema.core.review;

import static java.util.stream.Collectors.groupingBy;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.SetAside;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * All that there is to say about a document. After a change only those things are looked at anew of which something that
 * their rules look at is another instance; for all others the findings stay.
 */
public final class Review {

    /** What comes before the first document. */
    public static final Review NONE = new Review(
            Optional.empty(), List.of(), new Kept(Map.of(), Map.of()), List.of(), List.of(), new LinkedHashMap<>());

    private final Optional<Subject> subject;
    private final List<Object> everywhere;
    private final Kept kept;
    private final List<Finding> found;
    private final List<Finding> open;
    private final Map<Finding, SetAside> aside;
    private final Map<Id, List<Finding>> byOwner;

    /**
     * What holds until something else is looked at.
     *
     * @param ofEach  by entity or relationship
     * @param ofWhole by the finder that found it
     */
    private record Kept(Map<Id, List<Finding>> ofEach, Map<Finder, Looked> ofWhole) {}

    /** What a finder looked at, and what it found. */
    private record Looked(List<Object> at, List<Finding> found) {
        boolean isStillAt(List<Object> now) {
            boolean same = at.size() == now.size();
            for (int i = 0; same && i < at.size(); i++) {
                same = at.get(i) == now.get(i);
            }
            return same;
        }
    }

    private Review(
            Optional<Subject> subject,
            List<Object> everywhere,
            Kept kept,
            List<Finding> found,
            List<Finding> open,
            Map<Finding, SetAside> aside) {
        this.subject = subject;
        this.everywhere = everywhere;
        this.kept = kept;
        this.found = found;
        this.open = open;
        this.aside = aside;
        this.byOwner = open.stream().collect(groupingBy(each -> each.place().owner()));
    }

    public static Review of(Subject subject) {
        return NONE.after(subject);
    }

    /** Whether what is kept holds for a document too, so that only what changed has to be looked at. */
    public boolean canFollow(Subject next) {
        return subject.isPresent() && everywhere(next).equals(everywhere);
    }

    /** How many sample rows stand in what has to be looked at again for a change: by far the most of the work where there are many. */
    public int rowsToLookAt(Subject next) {
        Collection<Id> again = canFollow(next)
                ? Changes.between(subject.get(), next)
                : next.design().entities().stream().map(Entity::id).toList();
        return again.stream()
                .flatMap(id -> next.design().body(id).stream())
                .mapToInt(body -> body.rows().size())
                .sum();
    }

    /** Reviews a document after a change. */
    public Review after(Subject next) {
        List<Object> common = everywhere(next);
        boolean comparable = canFollow(next);
        Map<Id, List<Finding>> before = new HashMap<>(comparable ? kept.ofEach() : Map.of());
        if (comparable) {
            before.keySet().removeAll(Changes.between(subject.get(), next));
        }
        Map<Id, List<Finding>> now = new LinkedHashMap<>();
        for (Entity each : next.design().entities()) {
            List<Finding> known = before.get(each.id());
            now.put(each.id(), known == null ? look(next, each) : known);
        }
        for (Relationship each : next.design().relationships()) {
            List<Finding> known = before.get(each.id());
            now.put(each.id(), known == null ? look(next, each) : known);
        }
        var all = new ArrayList<Finding>();
        now.values().forEach(all::addAll);
        Map<Finder, Looked> whole = new HashMap<>();
        for (Finder each : Rules.FINDERS) {
            if (each instanceof Finder.OfWhole finder) {
                Looked looked = looked(finder, next, comparable);
                whole.put(finder, looked);
                all.addAll(looked.found());
            }
        }
        return divided(next, common, new Kept(now, whole), all);
    }

    private Looked looked(Finder.OfWhole finder, Subject next, boolean comparable) {
        List<Object> at = finder.looksAt(next);
        Looked before = kept.ofWhole().get(finder);
        if (comparable && before != null && before.isStillAt(at)) {
            return before;
        }
        var found = new ArrayList<Finding>();
        finder.find(next, found::add);
        return new Looked(at, found);
    }

    /** Tells what was set aside from the rest. */
    private static Review divided(Subject subject, List<Object> everywhere, Kept kept, List<Finding> all) {
        var open = new ArrayList<Finding>();
        Map<Finding, SetAside> aside = new LinkedHashMap<>();
        List<SetAside> given = subject.document().design().notes().setAside();
        for (Finding each : all) {
            given.stream()
                    .filter(one -> Aside.isOf(one, each))
                    .findFirst()
                    .ifPresentOrElse(one -> aside.put(each, one), () -> open.add(each));
        }
        return new Review(Optional.of(subject), everywhere, kept, all, open, aside);
    }

    /**
     * The same with what was found elsewhere, as by a database, in place of what was found so before; the review of the next change knows
     * nothing of it.
     */
    public Review with(Rule rule, Optional<Finding> said) {
        var all = new ArrayList<>(found);
        all.removeIf(each -> each.rule() == rule);
        said.ifPresent(all::add);
        return subject.map(each -> divided(each, everywhere, kept, all)).orElse(this);
    }

    /** What every rule may look at beside the thing itself. */
    private static List<Object> everywhere(Subject subject) {
        return List.of(
                subject.dialect().name(),
                subject.document().rules().choices(),
                subject.document().rules().naming(),
                subject.design().domains(),
                subject.design().notes().plurals());
    }

    private static List<Finding> look(Subject subject, Entity entity) {
        var findings = new ArrayList<Finding>();
        for (Finder each : Rules.FINDERS) {
            if (each instanceof Finder.OfEach one) {
                one.find(subject, entity, findings::add);
                one.find(subject, entity.id(), findings::add);
            }
        }
        return sorted(findings);
    }

    private static List<Finding> look(Subject subject, Relationship relationship) {
        var findings = new ArrayList<Finding>();
        for (Finder each : Rules.FINDERS) {
            if (each instanceof Finder.OfEach one) {
                one.find(subject, relationship, findings::add);
                if (relationship.isManyToMany()) {
                    one.find(subject, relationship.id(), findings::add);
                }
            }
        }
        return sorted(findings);
    }

    /** What must be mended stands first. */
    private static List<Finding> sorted(List<Finding> findings) {
        findings.sort(Comparator.comparing(Finding::severity));
        return List.copyOf(findings);
    }

    /** All findings in the order of the design, what concerns the whole behind; those that are set aside among them. */
    public List<Finding> all() {
        return found;
    }

    /** The findings that are not set aside. */
    public List<Finding> open() {
        return open;
    }

    /** The findings that are set aside, each with its reason. */
    public Map<Finding, SetAside> aside() {
        return aside;
    }

    /** What was set aside and is found no more: its rule or place is gone, or what was found there is something else now. */
    public List<SetAside> lost() {
        return subject.map(each -> each.document().design().notes().setAside()).orElse(List.of()).stream()
                .filter(one -> !aside.containsValue(one))
                .toList();
    }

    /** Those of a step that are not set aside. */
    public List<Finding> of(Step step) {
        return open.stream().filter(each -> each.step() == step).toList();
    }

    public List<Finding> of(Severity severity) {
        return open.stream().filter(each -> each.severity() == severity).toList();
    }

    /** Those about one entity or relationship, or a part of it, that are not set aside. */
    public List<Finding> about(Id owner) {
        return byOwner.getOrDefault(owner, List.of());
    }
}
