package ableschema.core.theory;

import java.time.Duration;
import java.util.function.Consumer;

/** How long an analysis may take, and who is told how far it is. */
public final class Effort {

    private final long end;
    private final boolean limited;
    private final Consumer<String> progress;

    private Effort(boolean limited, long end, Consumer<String> progress) {
        this.limited = limited;
        this.end = end;
        this.progress = progress;
    }

    public static Effort unlimited() {
        return new Effort(false, 0, said -> {});
    }

    /**
     * Counted from now on.
     *
     * @param progress told now and then, in a few words, what is being looked for
     */
    public static Effort of(Duration most, Consumer<String> progress) {
        return new Effort(true, System.nanoTime() + most.toNanos(), progress);
    }

    /** Whether the time is over, or the thread was asked to stop; what was found until then is to be returned. */
    boolean isSpent() {
        return limited && System.nanoTime() - end > 0 || Thread.currentThread().isInterrupted();
    }

    void tell(String said) {
        progress.accept(said);
    }
}
