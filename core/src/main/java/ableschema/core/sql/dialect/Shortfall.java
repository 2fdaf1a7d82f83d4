package ableschema.core.sql.dialect;

import ableschema.core.schema.Part;

/**
 * Something that a dialect cannot say, and what stands instead: a comment at its place in the script, and a finding.
 *
 * @param instead what is written instead, in words
 */
public record Shortfall(String dialect, Ability ability, Part place, String instead) {

    /** Where it is and what stands instead, as a sentence: "hive.stand_no: it goes on by 1"; the whole script has no place. */
    public String remedy() {
        return place.equals(Part.WHOLE)
                ? Character.toUpperCase(instead.charAt(0)) + instead.substring(1)
                : place + ": " + instead;
    }

    /** The shortfall in a sentence, as in "Not in Oracle: ON UPDATE CASCADE. hive.hive_of_apiary: on update it is NO ACTION.". */
    public String text() {
        return "Not in " + dialect + ": " + ability.words() + ". " + remedy() + ".";
    }
}
