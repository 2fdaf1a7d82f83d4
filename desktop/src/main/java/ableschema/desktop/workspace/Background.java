package ableschema.desktop.workspace;

import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.concurrent.Task;

/** Carries out longer work off the window's thread, one at a time, and brings the result back to it. */
public final class Background {

    private final ExecutorService thread = Executors.newSingleThreadExecutor(work -> {
        var daemon = new Thread(work, "able-background");
        daemon.setDaemon(true);
        return daemon;
    });
    private final ReadOnlyObjectWrapper<Optional<String>> running = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<Task<?>> current = Optional.empty();

    /** The name of the work under way; empty when idle. */
    public ReadOnlyObjectProperty<Optional<String>> runningProperty() {
        return running.getReadOnlyProperty();
    }

    /** Starts work; its result, or what went wrong, comes back on the window's thread. */
    public <T> void run(String name, Callable<T> work, Consumer<T> done, Consumer<Throwable> failed) {
        stop();
        var task = new Task<T>() {
            @Override
            protected T call() throws Exception {
                return work.call();
            }
        };
        current = Optional.of(task);
        running.set(Optional.of(name));
        task.setOnSucceeded(e -> finish(task, () -> done.accept(task.getValue())));
        task.setOnFailed(e -> finish(task, () -> failed.accept(task.getException())));
        thread.execute(task);
    }

    private void finish(Task<?> task, Runnable report) {
        if (current.filter(task::equals).isPresent()) {
            current = Optional.empty();
            running.set(Optional.empty());
            report.run();
        }
    }

    /** Gives up the work under way; its result is not used. */
    public void stop() {
        current.ifPresent(task -> task.cancel(true));
        current = Optional.empty();
        running.set(Optional.empty());
    }
}
