package ableschema.engine.catalog;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.CancellationException;
import java.util.function.IntConsumer;

/** Asks a database one query after the other, tells how far it has come, and can be stopped between two. */
final class Asking {

    private final Connection connection;
    private final Wanted wanted;
    private final IntConsumer progress;
    private int asked;

    Asking(Connection connection, Wanted wanted, IntConsumer progress) {
        this.connection = connection;
        this.wanted = wanted;
        this.progress = progress;
    }

    Connection connection() {
        return connection;
    }

    Wanted wanted() {
        return wanted;
    }

    /** The rows of a query; a {@link CancellationException} where the thread was interrupted before. */
    Rows rows(String query) throws SQLException {
        step();
        return new Rows(connection, query);
    }

    /** Tells that something more is asked, or was read. */
    void step() {
        if (Thread.currentThread().isInterrupted()) {
            throw new CancellationException("stopped after " + asked + " questions");
        }
        progress.accept(++asked);
    }
}
