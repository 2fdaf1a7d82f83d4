package ableschema.core.sql;

import ableschema.core.schema.Part;
import java.util.List;

/** One line of SQL, with the parts of the schema that it defines or speaks of. */
public record Line(String text, List<Part> parts) {}
