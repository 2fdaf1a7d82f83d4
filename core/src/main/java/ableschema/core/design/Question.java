package ableschema.core.design;

import java.util.List;

/**
 * Something that people must be able to find out from the database, such as "Which hives has a keeper treated?".
 *
 * @param answers the attributes that answer it, in the order they were named; empty while the question is open
 */
public record Question(Id id, String text, List<Id> answers) {

    public Question {
        answers = List.copyOf(answers);
    }

    public Question withText(String text) {
        return new Question(id, text, answers);
    }

    public Question withAnswers(List<Id> answers) {
        return new Question(id, text, answers);
    }
}
