package ableschema.core.design;

import java.util.List;

/**
 * What a design starts from.
 *
 * @param purpose what the database is for
 * @param told    plain sentences about the business, as they were told
 */
public record Brief(String purpose, String told, List<Question> questions) {

    public static final Brief EMPTY = new Brief("", "", List.of());

    public Brief {
        questions = List.copyOf(questions);
    }

    public Brief withPurpose(String purpose) {
        return new Brief(purpose, told, questions);
    }

    public Brief withTold(String told) {
        return new Brief(purpose, told, questions);
    }

    public Brief withQuestions(List<Question> questions) {
        return new Brief(purpose, told, questions);
    }

    /** Returns this brief with the question of the same id replaced, or with the question added. */
    public Brief with(Question question) {
        boolean known = questions.stream().anyMatch(q -> q.id().equals(question.id()));
        return withQuestions(
                known ? Lists.replace(questions, Question::id, question) : Lists.plus(questions, question));
    }
}
