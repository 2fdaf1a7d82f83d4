package ableschema.core.words;

import ableschema.core.design.Id;
import ableschema.core.document.Edit;
import java.util.Optional;

/** What a typed line was taken to mean, or the place from which it was not understood. */
public sealed interface Understanding {

    /**
     * The line can be carried out.
     *
     * @param gist    what it will do, in a few words
     * @param subject the entity that it is about
     */
    record Understood(Edit edit, String gist, Optional<Id> subject) implements Understanding {}

    /**
     * The line cannot be carried out.
     *
     * @param start   where the words that were not understood begin
     * @param end     where they end
     * @param problem what was expected there
     */
    record NotUnderstood(int start, int end, String problem) implements Understanding {}

    /** Nothing has been typed. */
    record Nothing() implements Understanding {}
}
