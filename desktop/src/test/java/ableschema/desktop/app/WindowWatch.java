package ableschema.desktop.app;

import java.lang.management.ManagementFactory;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;

/**
 * Watches the window's thread: how much processor time passes between two moments at which it could answer. Time that the
 * machine gives to others does not count, so that a busy machine fails no test.
 */
final class WindowWatch implements AutoCloseable {

    private final Thread asking = new Thread(this::ask, "window-watch");
    private volatile boolean closed;
    private volatile double longest;
    private long before = -1;

    WindowWatch() {
        asking.setDaemon(true);
        asking.start();
    }

    private void ask() {
        while (!closed) {
            var answered = new CountDownLatch(1);
            Platform.runLater(() -> {
                long now = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
                if (before >= 0) {
                    longest = Math.max(longest, (now - before) / 1e6);
                }
                before = now;
                answered.countDown();
            });
            try {
                answered.await();
                TimeUnit.MILLISECONDS.sleep(2);
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    /** The longest time without an answer since this was last asked, in milliseconds of the processor. */
    double longest() {
        double found = longest;
        longest = 0;
        return found;
    }

    @Override
    public void close() {
        closed = true;
        asking.interrupt();
    }
}
