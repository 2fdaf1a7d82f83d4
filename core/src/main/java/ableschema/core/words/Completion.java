package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.types.DataTypes;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What may stand next where a line is being typed: known names, verbs, words for how many, and types. */
public final class Completion {

    private static final int MOST = 8;
    private static final List<String> QUANTITIES =
            List.of("exactly one ", "at most one ", "at least one ", "any number of ", "between 2 and ");
    private static final Pattern TYPE = Pattern.compile("each .+? has .*:\\s*([^,;()]*)$", Pattern.CASE_INSENSITIVE);
    private static final Pattern CLAUSE = Pattern.compile("(?:^|;)\\s*each\\s+([^;]*)$", Pattern.CASE_INSENSITIVE);
    private static final Pattern KIND =
            Pattern.compile("^(?!each )(?:an? )?.+? is an? ([\\p{L} ]*)$", Pattern.CASE_INSENSITIVE);

    private final Design design;
    private final Nouns nouns;

    public Completion(Design design) {
        this.design = design;
        this.nouns = Nouns.of(design);
    }

    /**
     * One way to go on.
     *
     * @param replaced how many characters before the end of the text it stands in for
     */
    public record Proposal(String text, int replaced) {
        /** The text with this in place. */
        public String appliedTo(String typed) {
            return typed.substring(0, typed.length() - replaced) + text;
        }
    }

    /** The ways to go on at the end of a text, the likeliest first; none where nothing is known to follow. */
    public List<Proposal> at(String typed) {
        Matcher type = TYPE.matcher(typed);
        if (type.find()) {
            return matching(DataTypes.NOTATIONS.stream(), type.group(1));
        }
        Matcher kind = KIND.matcher(typed);
        if (kind.find()) {
            return matching(EntityKind.USUAL.stream().map(EntityKind::name), kind.group(1));
        }
        Matcher clause = CLAUSE.matcher(typed);
        if (clause.find()) {
            return inClause(clause.group(1));
        }
        return matching(Stream.of("Each "), typed.strip());
    }

    private List<Proposal> inClause(String clause) {
        var quantity = Quantity.find(Quoted.masked(clause), 0);
        if (quantity.isPresent()) {
            boolean many = quantity.get().cardinality().isMany();
            return matching(
                    design.entities().stream().map(e -> many ? nouns.many(e) : nouns.one(e)),
                    clause.substring(quantity.get().end()).stripLeading());
        }
        int noun = nouns.leadingLength(clause);
        boolean behindNoun = noun > 0 && clause.startsWith(" ", noun);
        if (!behindNoun) {
            return matching(design.entities().stream().map(e -> nouns.one(e) + " "), clause);
        }
        String rest = clause.substring(noun + 1);
        List<Proposal> verbs = nouns.entity(clause.substring(0, noun))
                .map(entity -> matching(verbs(entity), rest))
                .orElse(List.of());
        return verbs.isEmpty() && rest.contains(" ") ? matching(QUANTITIES.stream(), lastWords(rest)) : verbs;
    }

    private Stream<String> verbs(Entity entity) {
        var verbs = new ArrayList<String>();
        for (Relationship each : design.relationshipsOf(entity.id()).toList()) {
            for (Side side : Side.values()) {
                End end = each.end(side);
                if (end.entity().equals(entity.id()) && !end.verb().isEmpty()) {
                    verbs.add(end.verb() + " ");
                }
            }
        }
        return Stream.concat(verbs.stream(), Stream.of("has ", "is identified by its ", "is a kind of "));
    }

    /** What of the end of a text begins one of the words for how many; empty behind a space. */
    private static String lastWords(String text) {
        for (int at = 0; at < text.length(); at++) {
            boolean start = at == 0 || text.charAt(at - 1) == ' ';
            String tail = text.substring(at);
            if (start && QUANTITIES.stream().anyMatch(q -> q.startsWith(tail.toLowerCase(Locale.ROOT)))) {
                return tail;
            }
        }
        return text.endsWith(" ") ? "" : text;
    }

    private static List<Proposal> matching(Stream<String> words, String begun) {
        String small = begun.toLowerCase(Locale.ROOT);
        return words.distinct()
                .filter(word -> word.toLowerCase(Locale.ROOT).startsWith(small) && word.length() > begun.length())
                .limit(MOST)
                .map(word -> new Proposal(word, begun.length()))
                .toList();
    }
}
