package ableschema.core.review;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.SetAside;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * All that there is to say about a document. After a change only those things are looked at anew of which something that
 * their rules look at is another instance; for all others the findings stay.
 */
public final class Review {

    /** What comes before the first document. */
    public static final Review NONE =
            new Review(Optional.empty(), List.of(), Map.of(), List.of(), List.of(), new LinkedHashMap<>());

    private final Optional<Subject> subject;
    private final List<Object> everywhere;
    private final Map<Id, Kept> kept;
    private final List<Finding> found;
    private final List<Finding> open;
    private final Map<Finding, SetAside> aside;

    private Review(
            Optional<Subject> subject,
            List<Object> everywhere,
            Map<Id, Kept> kept,
            List<Finding> found,
            List<Finding> open,
            Map<Finding, SetAside> aside) {
        this.subject = subject;
        this.everywhere = everywhere;
        this.kept = kept;
        this.found = found;
        this.open = open;
        this.aside = aside;
    }

    /** The findings of one thing, and the instances that they were found in. */
    private record Kept(Object[] lookedAt, List<Finding> findings) {
        boolean isOf(Object[] instances) {
            if (instances.length != lookedAt.length) {
                return false;
            }
            for (int i = 0; i < instances.length; i++) {
                if (instances[i] != lookedAt[i]) {
                    return false;
                }
            }
            return true;
        }
    }

    public static Review of(Subject subject) {
        return NONE.after(subject);
    }

    /** Reviews a document after a change. */
    public Review after(Subject next) {
        Design design = next.design();
        List<Object> common = everywhere(next);
        Map<Id, Kept> before = common.equals(everywhere) ? kept : Map.of();
        Map<Id, Kept> now = new HashMap<>();
        var all = new ArrayList<Finding>();
        for (Entity each : design.entities()) {
            now.put(each.id(), look(next, each, Optional.ofNullable(before.get(each.id()))));
            all.addAll(now.get(each.id()).findings());
        }
        for (Relationship each : design.relationships()) {
            now.put(each.id(), look(next, each, Optional.ofNullable(before.get(each.id()))));
            all.addAll(now.get(each.id()).findings());
        }
        for (Finder each : Rules.FINDERS) {
            if (each instanceof Finder.OfWhole whole) {
                whole.find(next, all::add);
            }
        }
        var open = new ArrayList<Finding>();
        Map<Finding, SetAside> aside = new LinkedHashMap<>();
        List<SetAside> given = next.document().design().notes().setAside();
        for (Finding each : all) {
            given.stream()
                    .filter(one -> Aside.isOf(one, each))
                    .findFirst()
                    .ifPresentOrElse(one -> aside.put(each, one), () -> open.add(each));
        }
        return new Review(Optional.of(next), common, now, all, open, aside);
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

    private static Kept look(Subject subject, Entity entity, Optional<Kept> before) {
        var instances = new ArrayList<Object>();
        instances.add(entity);
        subject.table(entity.id()).ifPresent(instances::add);
        instances.addAll(subject.relationshipsOf(entity.id()));
        instances.addAll(referred(subject, entity.id()));
        Object[] lookedAt = instances.toArray();
        if (before.filter(each -> each.isOf(lookedAt)).isPresent()) {
            return before.get();
        }
        var findings = new ArrayList<Finding>();
        for (Finder each : Rules.FINDERS) {
            if (each instanceof Finder.OfEach one) {
                one.find(subject, entity, findings::add);
                one.find(subject, entity.id(), findings::add);
            }
        }
        findings.sort(Comparator.comparing(Finding::severity)); // what must be mended stands first
        return new Kept(lookedAt, List.copyOf(findings));
    }

    private static Kept look(Subject subject, Relationship relationship, Optional<Kept> before) {
        var instances = new ArrayList<Object>(Arrays.asList(
                relationship,
                subject.design().at(relationship.first()),
                subject.design().at(relationship.second())));
        subject.table(relationship.referencing().orElse(relationship.id())).ifPresent(instances::add);
        if (relationship.isManyToMany()) {
            instances.addAll(referred(subject, relationship.id()));
        }
        Object[] lookedAt = instances.toArray();
        if (before.filter(each -> each.isOf(lookedAt)).isPresent()) {
            return before.get();
        }
        var findings = new ArrayList<Finding>();
        for (Finder each : Rules.FINDERS) {
            if (each instanceof Finder.OfEach one) {
                one.find(subject, relationship, findings::add);
                if (relationship.isManyToMany()) {
                    one.find(subject, relationship.id(), findings::add);
                }
            }
        }
        findings.sort(Comparator.comparing(Finding::severity)); // what must be mended stands first
        return new Kept(lookedAt, List.copyOf(findings));
    }

    /** What something refers to; with rows, all that these refer to in turn, as their keys may be made of it. */
    private static Set<Object> referred(Subject subject, Id owner) {
        Design design = subject.design();
        boolean rows = !design.body(owner).orElse(Body.EMPTY).rows().isEmpty();
        var referred = new LinkedHashSet<Object>();
        var seen = new HashSet<Id>(Set.of(owner));
        var open = new ArrayDeque<Id>(List.of(owner));
        while (!open.isEmpty()) {
            for (EndRef end : design.referencesOf(open.remove())) {
                Entity target = design.target(end).orElseThrow(); // references are those of the design
                referred.add(target);
                design.relationship(end.relationship()).ifPresent(referred::add);
                if (rows && seen.add(target.id())) {
                    open.add(target.id());
                }
            }
        }
        return referred;
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
        return open.stream().filter(each -> each.place().owner().equals(owner)).toList();
    }
}
