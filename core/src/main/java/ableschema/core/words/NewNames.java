package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds, among the names that a free sentence would make, one that is a piece of the sentence and no name. */
final class NewNames {

    private static final String BEGINNINGS =
            "and|or|but|either|both|not|never|no|only|all|some|any|if|when|while|until|unless|because|so|than|for|in|on|at|by|with|without"
                    + "|from|to|of|about|per|during|before|after|an?|the|as|be|been|is|are|has|have|can|may|must|it|they|there";
    private static final String WITHIN =
            "and|or|but|between|who|which|whose|that|each|every|if|when|because|so|than|is|are|has|have|can|may|must|once|twice|an?|the|our";

    /** In the name of an entity; an attribute may be called "address line 2". */
    private static final Pattern ENTITY = Pattern.compile(
            "(?:" + BEGINNINGS + ") .*|.* (?:" + WITHIN + "|by|about|up|\\d+) .*|.* (?:" + WITHIN
                    + "|by|for|with|in|on|at|from|to|of|about|\\d+)|\\d+ .*",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern ATTRIBUTE = Pattern.compile(
            "(?:" + BEGINNINGS + ") .*|.* (?:" + WITHIN + ") .*|.* (?:" + WITHIN + ")|\\d+ .*|.* \\d+ .*",
            Pattern.CASE_INSENSITIVE);

    private NewNames() {}

    /** @param said the sentence; a name that stands in it between quotes is meant */
    static Optional<String> implausible(Design before, Design after, String said) {
        Set<Id> known = before.entities().stream().map(Entity::id).collect(Collectors.toSet());
        Stream<String> entities = after.entities().stream()
                .filter(entity -> !known.contains(entity.id()))
                .map(Entity::name)
                .filter(name -> ENTITY.matcher(name).matches());
        Stream<String> attributes = after.entities().stream()
                .filter(entity ->
                        before.entity(entity.id()).filter(entity::equals).isEmpty())
                .flatMap(entity -> entity.body().attributes().stream()
                        .filter(attribute -> before.attribute(attribute.id()).isEmpty()))
                .map(Attribute::name)
                .filter(name -> ATTRIBUTE.matcher(name).matches());
        return Stream.concat(entities, attributes)
                .filter(name -> !said.contains("\"" + name + "\""))
                .findFirst();
    }
}
