package ableschema.core.words;

import java.util.List;

/** What canonical sentences a sentence as people say it comes to. */
public sealed interface Phrasing {

    /** It is no phrasing of another sentence, and is read as it stands. */
    record AsItStands() implements Phrasing {}

    /** It says what these canonical sentences say. */
    record ReadAs(List<String> sentences) implements Phrasing {
        public ReadAs {
            sentences = List.copyOf(sentences);
        }

        static ReadAs of(String... sentences) {
            return new ReadAs(List.of(sentences));
        }
    }

    /** More than one reading is likely; the first is the likeliest. */
    record Either(List<ReadAs> readings) implements Phrasing {

        /** Nobody chooses among more, and each open part of a sentence would double them. */
        static final int MOST = 8;

        public Either {
            readings = readings.stream().limit(MOST).toList();
        }
    }

    /**
     * To guess would do harm.
     *
     * @param word the word that it is about; empty for the whole sentence
     */
    record Refused(String problem, String word) implements Phrasing {
        Refused(String problem) {
            this(problem, "");
        }
    }
}
