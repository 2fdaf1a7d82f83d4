package ableschema.desktop.workspace;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.concurrent.Task;

/** Longer work off the window's thread: named jobs side by side, each with its progress and stopped alone. */
public final class Jobs {

    private final ExecutorService threads = Executors.newCachedThreadPool(work -> {
        var daemon = new Thread(work, "able-job");
        daemon.setDaemon(true);
        return daemon;
    });
    private int unseen;
    private final ObservableList<Job> running = FXCollections.observableArrayList();
    private final ObservableList<Job> runningUnchanged = FXCollections.unmodifiableObservableList(running);

    Jobs() {}

    /** Work that may say how far it is; it is interrupted when the job is stopped. */
    @FunctionalInterface
    public interface Work<T> {
        T carryOut(Progress progress) throws Exception;
    }

    /** Told by the work, from its own thread. */
    @FunctionalInterface
    public interface Progress {
        void done(long done, long total);
    }

    /** One piece of work under way. */
    public static final class Job {
        private final String name;
        private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper();
        private Runnable stopping = () -> {};

        private Job(String name) {
            this.name = name;
            said.set(name + " …");
        }

        public String name() {
            return name;
        }

        /** Its name and how far it is: "trying the script, 3 of 20". */
        public ReadOnlyStringProperty saidProperty() {
            return said.getReadOnlyProperty();
        }

        /** Gives it up, and no other; its result is not used. */
        public void stop() {
            stopping.run();
        }
    }

    /** The jobs under way, in the order in which they were started; empty when idle. */
    public ObservableList<Job> running() {
        return runningUnchanged;
    }

    /**
     * Starts a job; its result, or what went wrong, comes back on the window's thread.
     *
     * @param wanted whether the result is still of use; one that comes too late is dropped
     */
    public <T> Job run(
            String name, Work<T> work, BooleanSupplier wanted, Consumer<T> done, Consumer<Throwable> failed) {
        var job = new Job(name);
        var task = new Task<T>() {
            @Override
            protected T call() throws Exception {
                return work.carryOut(
                        (count, total) -> Platform.runLater(() -> job.said.set(name + ", " + count + " of " + total)));
            }
        };
        job.stopping = () -> {
            task.cancel(true);
            running.remove(job);
        };
        task.setOnSucceeded(e -> finish(job, wanted, () -> done.accept(task.getValue())));
        task.setOnFailed(e -> finish(job, wanted, () -> failed.accept(task.getException())));
        running.add(job);
        threads.execute(task);
        return job;
    }

    /** Starts work that is done before anybody could stop it, and is not listed. */
    public <T> void runUnseen(Callable<T> work, BooleanSupplier wanted, Consumer<T> done, Consumer<Throwable> failed) {
        unseen++;
        threads.execute(() -> {
            Runnable report = carriedOut(work, done, failed);
            Platform.runLater(() -> finishUnseen(wanted, report));
        });
    }

    private static <T> Runnable carriedOut(Callable<T> work, Consumer<T> done, Consumer<Throwable> failed) {
        try {
            T result = work.call();
            return () -> done.accept(result);
        } catch (Exception e) { // whatever goes wrong is told to whoever asked
            return () -> failed.accept(e);
        }
    }

    private void finishUnseen(BooleanSupplier wanted, Runnable report) {
        unseen--;
        if (wanted.getAsBoolean()) {
            report.run();
        }
    }

    /** Whether nothing is under way, seen or unseen. */
    public boolean isIdle() {
        return running.isEmpty() && unseen == 0;
    }

    private void finish(Job job, BooleanSupplier wanted, Runnable report) {
        if (running.remove(job) && wanted.getAsBoolean()) {
            report.run();
        }
    }

    public void stopAll() {
        List.copyOf(running).forEach(Job::stop);
    }
}
