package ableschema.cli;

import ableschema.core.document.Document;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import java.nio.file.Path;

/** The files of the demo, in the folder that the program was started from. */
enum Demo {
    WORKED("alder-valley"),
    FIELD_LOG("field-log");

    private final String name;

    Demo(String name) {
        this.name = name;
    }

    Path path() {
        return folder().resolve(name + DocumentFile.ENDING);
    }

    /** The SQL of a database as it was handed on. */
    static Path inherited() {
        return folder().resolve("inherited.sql");
    }

    private static Path folder() {
        String home = System.getenv("ABLE_HOME");
        return Path.of(home == null ? "." : home).resolve("demo");
    }

    Document read() throws FileProblem {
        return DocumentFile.read(path());
    }
}
