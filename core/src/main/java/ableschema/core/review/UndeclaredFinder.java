package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.holding.Declared;
import ableschema.core.words.Nouns;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** Attributes that are called as the key of another entity is, and that nothing makes a reference. */
final class UndeclaredFinder implements Finder.OfWhole {

    static final Rule UNDECLARED = Rule.advice(
            Step.DRAW,
            "undeclared-reference",
            "Looks like a reference",
            "{entity}: {column} looks like a reference to {target}, and is none.",
            "The database checks only what is declared: a row may hold the key of what is not there, or is gone.");

    private static final int MOST_ORPHANS = 3;

    @Override
    public List<Rule> rules() {
        return List.of(UNDECLARED);
    }

    @Override
    public List<Object> looksAt(Subject subject) {
        return List.of(subject.design().entities(), subject.design().relationships());
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        Keyed keys = subject.keyed();
        for (Entity each : subject.design().entities()) {
            of(subject, each, keys, (attribute, declared) -> found.accept(finding(subject, each, attribute, declared)));
        }
    }

    /** The entities that relate to others by what looks like a reference, and by no relationship perhaps. */
    static Set<Id> suspected(Subject subject) {
        Keyed keys = subject.keyed();
        Set<Id> suspected = new HashSet<>();
        for (Entity each : subject.design().entities()) {
            of(subject, each, keys, (attribute, declared) -> {
                suspected.add(each.id());
                suspected.add(declared.to().id());
            });
        }
        return suspected;
    }

    /**
     * The entities with a key of one attribute, by what a column that refers to them would be called.
     *
     * @param endings the last words of these names: nearly all attributes have another, and need not be looked at
     */
    record Keyed(Map<String, Entity> byName, Set<String> endings) {

        static Keyed of(Subject subject) {
            Map<String, Entity> keys = new HashMap<>();
            Set<String> endings = new HashSet<>();
            for (Entity each : subject.design().entities()) {
                Declared.soleKey(each).ifPresent(key -> {
                    String called = Declared.words(each.name());

                    String named = Declared.words(key.name());
                    keys.putIfAbsent(called + " " + named, each);
                    if (named.startsWith(called)) {
                        keys.putIfAbsent(named, each);
                    }
                    endings.add(named.substring(named.lastIndexOf(' ') + 1));
                });
            }
            return new Keyed(keys, endings);
        }

        boolean mayName(String attribute) {
            int start = attribute.length();
            while (start > 0 && !isBeginning(attribute, start)) {
                start--;
            }
            return endings.contains(attribute.substring(start).toLowerCase(Locale.ROOT));
        }

        /** Whether a word begins at this place. */
        private static boolean isBeginning(String name, int at) {
            char before = name.charAt(at - 1);
            boolean turns =
                    at < name.length() && Character.isUpperCase(name.charAt(at)) && Character.isLowerCase(before);
            return turns || before == '_' || before == '-' || Character.isWhitespace(before);
        }
    }

    private static void of(Subject subject, Entity entity, Keyed keys, BiConsumer<Attribute, Declared> found) {
        for (Attribute attribute : entity.body().attributes()) {
            if (!keys.mayName(attribute.name())) {
                continue;
            }
            target(attribute, entity, keys)
                    .filter(to -> !refersAlready(subject, entity, to))
                    .flatMap(to -> Declared.of(subject.design(), attribute, to))
                    .filter(declared ->
                            declared.matching() > 0 || declared.orphans().isEmpty())
                    .ifPresent(declared -> found.accept(attribute, declared));
        }
    }

    /** Its name may begin with a role, such as {@code home} in {@code home berth no}. */
    private static Optional<Entity> target(Attribute attribute, Entity owner, Keyed keys) {
        String whole = Declared.words(attribute.name());
        String name = whole;
        while (true) {
            Entity to = keys.byName().get(name);
            boolean itself = to == owner && name.equals(whole); // a part has a parent part, and is none of its own
            if (to != null && !itself) {
                return Optional.of(to);
            }
            int space = name.indexOf(' ');
            if (space < 0) {
                return Optional.empty();
            }
            name = name.substring(space + 1);
        }
    }

    private static boolean refersAlready(Subject subject, Entity from, Entity to) {
        return subject.design().referencesOf(from.id()).stream()
                .anyMatch(end -> subject.design().target(end).filter(to::equals).isPresent());
    }

    private static Finding finding(Subject subject, Entity entity, Attribute attribute, Declared declared) {
        Finding finding = Finding.of(UNDECLARED, new Place(entity.id(), Optional.empty(), List.of(attribute.ref())))
                .naming("entity", entity.name())
                .naming("column", attribute.name())
                .naming("target", declared.to().name())
                .stating("to", declared.to().id().toString())
                .mendedBy(
                        Remedy.of("make it a reference to " + declared.to().name(), (design, ids, given) -> Declared.of(
                                        design,
                                        design.attribute(attribute.id()).orElseThrow(),
                                        design.entity(declared.to().id()).orElseThrow())
                                .orElseThrow()
                                .edit(ids)));
        return finding.withEvidence(evidence(declared, subject.nouns()));
    }

    private static String evidence(Declared declared, Nouns nouns) {
        int all = declared.values().size();
        List<String> evidence = new ArrayList<>();
        if (all > 0) {
            evidence.add(declared.matching() + " of " + all + " values are keys there");
        }
        List<String> orphans = declared.orphans();
        if (!orphans.isEmpty()) {
            evidence.add("not: “"
                    + String.join("”, “", orphans.stream().limit(MOST_ORPHANS).toList()) + "”");
        }
        evidence.add(declared.reason(nouns));
        return String.join("; ", evidence);
    }
}
