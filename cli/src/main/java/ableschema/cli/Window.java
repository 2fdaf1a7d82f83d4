package ableschema.cli;

import java.nio.file.Path;
import java.util.Optional;

final class Window {
    private Window() {}

    static int open(Optional<Path> file) {
        throw new Refusal(Exit.WRONG_USE, "no window yet " + file);
    }
}
