package ableschema.cli;

import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.desktop.app.AbleApp;
import java.nio.file.Path;
import java.util.Optional;

/** Opens the window on a file, or on the demo. */
final class Window {

    private Window() {}

    static int open(Optional<Path> file) throws FileProblem {
        AbleApp.Reading reading = () -> file.isPresent() ? DocumentFile.read(file.get()) : Demo.WORKED.read();
        if (isOffscreen() && !AbleApp.closesWhenSeen()) {
            reading.read(); // what is wrong with the file is said first
            throw new Refusal(
                    Exit.WRONG_USE,
                    "there is no display to open a window on; ./able demo drives the window offscreen and leaves pictures");
        }
        try {
            AbleApp.open(reading, file);
        } catch (UnsupportedOperationException e) {
            throw new Refusal(
                    Exit.WRONG_USE,
                    "no window can be opened (" + e.getMessage()
                            + "); start it where there is a display, or use a command (see able --help)");
        }
        return Exit.DONE;
    }

    /** Set by the script that starts the program, which chooses JavaFX's platform accordingly. */
    static boolean isOffscreen() {
        return Boolean.getBoolean("able.offscreen");
    }
}
