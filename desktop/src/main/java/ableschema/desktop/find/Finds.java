package ableschema.desktop.find;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.words.Sentences;
import ableschema.desktop.actions.Action;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.ToIntFunction;

/** What typed words may mean: things of the design and actions, the best matches first. */
final class Finds {

    private static final int MOST = 12;
    private static final int NO_MATCH = Integer.MAX_VALUE;

    private final List<Found> all = new ArrayList<>();

    /**
     * One thing that can be gone to or done.
     *
     * @param sort  what it is, such as "entity"
     * @param keys  its shortcut; empty for none
     */
    record Found(String name, String sort, String keys, Runnable go) {}

    Finds(Design design, List<Action> actions, Consumer<Id> show) {
        for (Entity entity : design.entities()) {
            all.add(new Found(entity.name(), "entity", "", () -> show.accept(entity.id())));
        }
        for (Action action : actions) {
            all.add(new Found(action.name(), "do", action.keys(), action.run()));
        }
        for (Entity entity : design.entities()) {
            attributes(entity.id(), entity.name(), entity.body().attributes(), show);
        }
        var sentences = new Sentences(design);
        for (Relationship each : design.relationships()) {
            all.add(new Found(sentences.of(each), "relationship", "", () -> show.accept(each.id())));
            attributes(each.id(), design.nameOf(each.id()), each.body().attributes(), show);
        }
    }

    private void attributes(Id owner, String ofWhat, List<Attribute> attributes, Consumer<Id> show) {
        for (Attribute attribute : attributes) {
            all.add(new Found(attribute.name() + " of " + ofWhat, "attribute", "", () -> show.accept(attribute.id())));
        }
    }

    /** The best matches; all words must be found, in any order. */
    List<Found> matching(String typed) {
        String[] words = typed.strip().toLowerCase(Locale.ROOT).split("\\s+");
        ToIntFunction<Found> cost = found -> cost(found.name().toLowerCase(Locale.ROOT), words);
        return all.stream()
                .filter(found -> cost.applyAsInt(found) < NO_MATCH)
                .sorted(Comparator.comparingInt(cost))
                .limit(MOST)
                .toList();
    }

    /** Names that begin with what was typed come first, then those in which a word does, then any other. */
    private static int cost(String name, String[] words) {
        int cost = 0;
        for (String word : words) {
            int at = name.indexOf(word);
            if (at < 0) {
                return NO_MATCH;
            }
            boolean startsWord = at == 0 || name.charAt(at - 1) == ' ';
            cost += at == 0 ? 0 : startsWord ? 20 : 60;
        }
        return cost + Math.min(19, name.length() / 4);
    }
}
