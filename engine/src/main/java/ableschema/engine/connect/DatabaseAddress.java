package ableschema.engine.connect;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Properties;
import java.util.regex.Pattern;

/**
 * Where a database is, and who asks. The password is given when it is opened, and kept nowhere.
 *
 * @param url  as JDBC has it, such as {@code jdbc:postgresql://localhost/club}
 * @param user   empty where the database asks for none
 * @param driver the jar of a driver of the designer's own, for a database that is none of those known
 */
public record DatabaseAddress(String url, String user, Optional<Path> driver) {

    /** So long a host has to answer, in seconds. */
    private static final int LONGEST_WAIT = 5;

    private static final List<String> KNOWN =
            List.of("jdbc:postgresql:", "jdbc:mariadb:", "jdbc:mysql:", "jdbc:sqlite:", "jdbc:h2:");

    private static final Pattern PASSWORD =
            Pattern.compile("(?i)[?&;](password|pwd|sslpassword)\\s*=|//[^/@]*:[^/@]*@");

    /** An address of a database that a driver of the designer's own reads, from its jar. */
    public static DatabaseAddress of(String url, String user, Path driver) throws ConnectionProblem {
        requireNoPassword(url);
        if (!url.startsWith("jdbc:")) {
            throw new ConnectionProblem("'" + shown(url) + "' is no JDBC URL, which begins with jdbc:");
        }
        return new DatabaseAddress(url, user, Optional.of(driver));
    }

    /** Makes an address; a {@link ConnectionProblem} says what is wrong with the URL. */
    public static DatabaseAddress of(String url, String user) throws ConnectionProblem {
        requireNoPassword(url);
        if (KNOWN.stream().noneMatch(url.toLowerCase(Locale.ROOT)::startsWith)) {
            throw new ConnectionProblem(
                    "there is no driver for '" + shown(url) + "'; URLs begin with " + String.join(", ", KNOWN)
                            + "; any other database is read by a driver of your own, named by its jar");
        }
        return new DatabaseAddress(url, user, Optional.empty());
    }

    private static void requireNoPassword(String url) throws ConnectionProblem {
        if (PASSWORD.matcher(url).find()) {
            throw new ConnectionProblem(
                    "the URL holds a password, which others could see; take it out and put it into the environment variable"
                            + " ABLE_PASSWORD");
        }
    }

    /** Opens the database to read from it alone; one that is not there is not made. */
    public Connection openToRead(String password) throws ConnectionProblem {
        var properties = properties(password);
        if (driver.isPresent()) {
            return ownDriver(driver.get(), properties);
        }
        if (url.startsWith("jdbc:sqlite:")) {
            properties.setProperty("open_mode", "1"); // SQLITE_OPEN_READONLY
        }
        Connection connection = open(existing(), properties);
        try {
            if (!url.startsWith("jdbc:sqlite:")) {
                connection.setReadOnly(true);
            }
        } catch (SQLException e) {
            throw new ConnectionProblem(shown(url) + " cannot be read: " + firstLine(e), e);
        }
        return connection;
    }

    private Connection ownDriver(Path jar, Properties properties) throws ConnectionProblem {
        try {
            Connection connection = new DriverJar(jar).open(url, properties);
            connection.setReadOnly(true); // which is advice to some
            return connection;
        } catch (SQLException e) {
            throw new ConnectionProblem(shown(url) + " " + why(e), e);
        }
    }

    /** Opens the database to change it; one that is not there is not made. */
    public Connection openToWrite(String password) throws ConnectionProblem {
        if (driver.isPresent()) {
            throw new ConnectionProblem("by a driver of one's own a database is only read");
        }
        if (url.startsWith("jdbc:sqlite:")) {
            return openToRead(password); // its trials are made in memory
        }
        return open(existing(), properties(password));
    }

    /**
     * Opens it to carry a design out there; a file of SQLite that is not there yet is made.
     *
     * @throws ConnectionProblem where that cannot be
     */
    public Connection openForReal(String password) throws ConnectionProblem {
        boolean file = driver.isEmpty() && url.startsWith("jdbc:sqlite:");
        return file ? open(url, properties(password)) : openToWrite(password);
    }

    private String existing() {
        return url.startsWith("jdbc:h2:") && !url.startsWith("jdbc:h2:mem:") ? url + ";IFEXISTS=TRUE" : url;
    }

    private Properties properties(String password) {
        var properties = new Properties();
        if (!user.isEmpty()) {
            properties.setProperty("user", user);
        }
        if (!password.isEmpty()) {
            properties.setProperty("password", password);
        }
        if (url.startsWith("jdbc:postgresql:")) {
            properties.setProperty("connectTimeout", String.valueOf(LONGEST_WAIT));
            properties.setProperty("loginTimeout", String.valueOf(LONGEST_WAIT));
        } else if (isMySqlFamily()) {
            properties.setProperty("connectTimeout", String.valueOf(1000 * LONGEST_WAIT));
        }
        return properties;
    }

    private boolean isMySqlFamily() {
        return url.startsWith("jdbc:mariadb:") || url.startsWith("jdbc:mysql:");
    }

    private Connection open(String there, Properties properties) throws ConnectionProblem {
        // one driver speaks to both
        String known =
                there.startsWith("jdbc:mysql:") ? "jdbc:mariadb:" + there.substring("jdbc:mysql:".length()) : there;
        try {
            return DriverManager.getConnection(known, properties);
        } catch (SQLException e) {
            throw new ConnectionProblem(shown(url) + " " + why(e), e);
        }
    }

    private String why(SQLException e) {
        String state = e.getSQLState() == null ? "" : e.getSQLState();
        if (state.startsWith("28")) {
            return "does not let " + (user.isEmpty() ? "a user without a name" : "'" + user + "'")
                    + " in with this password; check --user, and the environment variable ABLE_PASSWORD";
        }
        if (state.startsWith("08")) {
            return "does not answer: " + firstLine(e) + "; check host, port and whether the server runs";
        }
        return "cannot be opened: " + firstLine(e) + "; check the URL";
    }

    /** What a driver says is often several lines long. */
    static String firstLine(SQLException e) {
        String message = String.valueOf(e.getMessage()).strip();
        return message.lines().findFirst().orElse(message).replaceFirst("[.;:\\s]+$", "");
    }

    /** The URL without what may stand behind it. */
    private static String shown(String url) {
        return url.replaceFirst("[?;].*$", "");
    }

    /** For people: where it is, and nothing secret. */
    @Override
    public String toString() {
        return shown(url);
    }
}
