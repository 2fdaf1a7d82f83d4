package ableschema.engine.connect;

import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Driver;
import java.sql.SQLException;
import java.util.Properties;
import java.util.ServiceConfigurationError;
import java.util.ServiceLoader;

/** A JDBC driver of the designer's own, in its jar. */
record DriverJar(Path jar) {

    /** Opens a database by the driver in the jar; a {@link ConnectionProblem} says where there is none that takes the URL. */
    Connection open(String url, Properties properties) throws SQLException, ConnectionProblem {
        if (!Files.isRegularFile(jar)) {
            throw new ConnectionProblem("there is no driver at " + jar + "; name the jar file of a JDBC driver");
        }
        try {
            // it stays open as long as the connection, which goes on loading from it
            var loader = new URLClassLoader(new URL[] {jar.toUri().toURL()}, ClassLoader.getPlatformClassLoader());
            for (Driver driver : ServiceLoader.load(Driver.class, loader)) {
                boolean ours = driver.getClass().getClassLoader() == loader;
                if (ours && driver.acceptsURL(url)) {
                    Connection connection = driver.connect(url, properties);
                    if (connection != null) {
                        return connection;
                    }
                }
            }
        } catch (IOException | ServiceConfigurationError | LinkageError e) {
            throw new ConnectionProblem("no JDBC driver can be loaded from " + jar + ": " + e.getMessage(), e);
        }
        throw new ConnectionProblem("no JDBC driver in " + jar + " takes this URL; check both");
    }
}
