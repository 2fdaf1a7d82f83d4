package ableschema.core.holding;

import ableschema.core.design.Mark;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** What the values of an attribute are to the people who use them; the type follows from it. */
public enum Holding {
    COUNT("a count or a score", "Whole numbers are exact: they can be added up, compared and sorted.", Topic.NUMBERS),
    MEASURED(
            "a measured amount",
            "A decimal keeps the digits that were measured; an approximate number would change them.",
            Topic.NUMBERS),
    MONEY("money", "Sums of money are exact in exact decimals alone.", Topic.NUMBERS),
    CODE(
            "a code without arithmetic",
            "Nobody adds codes up; a text keeps their zeros in front and their dashes.",
            Topic.NUMBERS,
            Topic.WORDS),
    FEW_WORDS("a name or a few words", "A text of the length that the longest real value needs.", Topic.WORDS),
    LONG_TEXT("a text of any length", "No length is asked for where none can be known.", Topic.WORDS),
    LINK("a link", "Addresses may be long, and are compared letter by letter.", Topic.WORDS),
    CLOSED("one of a few, and no others", "The database itself refuses any other value.", Topic.WORDS),
    GROWING(
            "one of a list that grows",
            "A table of its own: a new value is a new row, and no new definition.",
            Topic.WORDS),
    DAY("only the day", "A date can be reckoned with, and is no other day elsewhere.", Topic.TIMES),
    MOMENT("the moment", "Day and time on the clock of one place.", Topic.TIMES),
    MOMENT_ANYWHERE("the moment, anywhere", "People in several time zones mean the same moment by it.", Topic.TIMES),
    TIME_OF_DAY("a time of day", "On any day, and so without one.", Topic.TIMES),
    YEAR("only the year", "Nobody knows the day, or needs it.", Topic.TIMES),
    YES_NO("yes or no", "There is no third value, but for none where it is optional.", Topic.OTHERS),
    FILE("the content of a file", "Bytes as they are; the text of a link would be shorter.", Topic.OTHERS);

    /** What the question is about; those of one topic are offered together. */
    private enum Topic {
        NUMBERS,
        WORDS,
        TIMES,
        OTHERS
    }

    static final Set<Mark> MARKS = Set.of(Mark.MONEY, Mark.MEASURED, Mark.CODE, Mark.LINK);

    private final String label;
    private final String reason;
    private final List<Topic> topics;

    Holding(String label, String reason, Topic... topics) {
        this.label = label;
        this.reason = reason;
        this.topics = List.of(topics);
    }

    public String label() {
        return label;
    }

    /** Why its type is the one it is, in a sentence. */
    public String reason() {
        return reason;
    }

    /** What the same values may well be instead, with itself, in the order in which they are offered. */
    public List<Holding> alike() {
        return List.of(values()).stream()
                .filter(other -> other.topics.stream().anyMatch(topics.subList(0, 1)::contains))
                .toList();
    }

    /** The mark that it leaves on an attribute whose type alone would not tell it; none for most. */
    Set<Mark> marks() {
        return switch (this) {
            case MONEY -> EnumSet.of(Mark.MONEY);
            case MEASURED -> EnumSet.of(Mark.MEASURED);
            case CODE -> EnumSet.of(Mark.CODE);
            case LINK -> EnumSet.of(Mark.LINK);
            default -> Set.of();
        };
    }
}
