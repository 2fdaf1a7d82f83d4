package ableschema.core.words;

import ableschema.core.design.End;
import ableschema.core.design.Reference;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What stands in brackets behind a relationship's sentences: {@code (called application; first as mentor; second as
 * pupil; on delete cascade; on update set null)}.
 *
 * @param before the sentence without them
 */
record RelationshipOptions(String before, List<Option> options) {

    private static final String EXPECTED = "expected 'called', 'first as', 'second as', 'on delete' or 'on update',"
            + " which 'first' or 'second' may stand before, with what belongs to it";
    private static final List<String> STARTS = List.of(
            "called ",
            "first as ",
            "second as ",
            "on delete ",
            "on update ",
            "first on delete ",
            "first on update ",
            "second on delete ",
            "second on update ");

    /** One option and where it stands in the line. */
    record Option(String start, String rest, int at, int end) {}

    static RelationshipOptions cutFrom(String text) {
        String masked = Quoted.masked(text);
        int open = masked.lastIndexOf('(');
        int close = masked.lastIndexOf(')');
        if (open < 0 || close < open || !masked.substring(close + 1).matches("[\\s.]*")) {
            return new RelationshipOptions(text, List.of());
        }
        var options = new ArrayList<Option>();
        int at = open + 1;
        while (at <= close) {
            int semicolon = masked.indexOf(';', at);
            int end = semicolon < 0 || semicolon > close ? close : semicolon;
            options.add(option(text, at, end));
            at = end + 1;
        }
        return new RelationshipOptions(text.substring(0, open), options);
    }

    private static Option option(String text, int at, int end) {
        String given = text.substring(at, end);
        int start = at + given.length() - given.stripLeading().length();
        String option = STARTS.stream()
                .filter(each -> text.regionMatches(true, start, each, 0, each.length()))
                .findFirst()
                .orElseThrow(() -> new Misunderstanding(start, Math.max(end, start + 1), EXPECTED));
        return new Option(
                option.strip(), text.substring(start + option.length(), end).strip(), start, end);
    }

    /** @param side the end of the relationship that the sentence names first */
    Relationship applyTo(Relationship relationship, Side side) {
        Relationship changed = relationship;
        for (Option option : options) {
            changed = applied(changed, side, option);
        }
        return changed;
    }

    /** The relationship without all that options say, so that others can say all of it. */
    static Relationship without(Relationship r) {
        return r.withNoun("")
                .with(Side.FIRST, r.first().withRole(""))
                .with(Side.SECOND, r.second().withRole(""))
                .withActions(ReferenceAction.NO_ACTION, ReferenceAction.NO_ACTION);
    }

    private static Relationship applied(Relationship r, Side side, Option option) {
        String said = Quoted.plain(option.rest());
        return switch (option.start()) {
            case "called" -> r.withNoun(said);
            case "first as" -> r.with(side, r.end(side).withRole(said));
            case "second as" -> r.with(side.other(), r.end(side.other()).withRole(said));
            case "on delete" -> acting(r, option, List.of(Side.values()));
            case "on update" -> acting(r, option, List.of(Side.values()));
            default -> acting(r, option, List.of(option.start().startsWith("first") ? side : side.other()));
        };
    }

    /** The relationship with what happens on delete or update of those of these ends that are referred to. */
    private static Relationship acting(Relationship r, Option option, List<Side> sides) {
        List<Side> referenced =
                r.referencedSides().stream().filter(sides::contains).toList();
        if (referenced.isEmpty()) {
            throw new Misunderstanding(option.at(), option.end(), "nothing refers to this side of the relationship");
        }
        ReferenceAction action = action(option);
        Relationship changed = r;
        for (Side side : referenced) {
            Reference reference = changed.end(side).reference();
            changed = changed.with(
                    side,
                    changed.end(side)
                            .with(
                                    option.start().endsWith("delete")
                                            ? reference.withActions(action, reference.onUpdate())
                                            : reference.withActions(reference.onDelete(), action)));
        }
        return changed;
    }

    private static ReferenceAction action(Option option) {
        String said = option.rest().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        for (ReferenceAction action : ReferenceAction.values()) {
            if (words(action).equals(said)) {
                return action;
            }
        }
        throw new Misunderstanding(
                option.at(),
                option.end(),
                "expected no action, restrict, cascade, set null or set default, not '" + said + "'");
    }

    private static String words(ReferenceAction action) {
        return action.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** The options of a relationship in brackets, with a space before; empty where there is nothing to say. */
    static String said(Relationship r) {
        var said = new ArrayList<String>();
        if (!r.noun().isEmpty()) {
            said.add("called " + Nouns.listed(r.noun()));
        }
        role(r.first()).ifPresent(role -> said.add("first as " + role));
        role(r.second()).ifPresent(role -> said.add("second as " + role));
        sayActions("on delete ", r, Reference::onDelete, said);
        sayActions("on update ", r, Reference::onUpdate, said);
        return said.isEmpty() ? "" : " (" + String.join("; ", said) + ")";
    }

    private static void sayActions(
            String when, Relationship r, Function<Reference, ReferenceAction> action, List<String> said) {
        Map<Side, ReferenceAction> actions = new EnumMap<>(Side.class);
        r.referencedSides()
                .forEach(side -> actions.put(side, action.apply(r.end(side).reference())));
        if (Set.copyOf(actions.values()).size() == 1) {
            actions.values().stream()
                    .distinct()
                    .filter(each -> each != ReferenceAction.NO_ACTION)
                    .forEach(each -> said.add(when + words(each)));
        } else {
            actions.forEach((side, each) -> said.add((side == Side.FIRST ? "first " : "second ") + when + words(each)));
        }
    }

    private static Optional<String> role(End end) {
        return Optional.of(end.role()).filter(role -> !role.isEmpty()).map(Nouns::listed);
    }
}
