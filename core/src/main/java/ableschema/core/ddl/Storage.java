package ableschema.core.ddl;

import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.DialectOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** How PostgreSQL is to keep the rows of a table or an index: what stands in brackets behind WITH. */
final class Storage {

    private Storage() {}

    /** Whether such a list stands here, or one by which it is changed; it is passed over where another database has one. */
    static boolean is(Cursor at) {
        return at.isAny("with", "set") && at.at() + 1 < at.end() && at.tokens().is(at.at() + 1, '(');
    }

    /** Reads it as an option of the part; what cannot be kept is told. */
    static void read(Context context, Cursor at, Part.Kind of, Map<String, String> options) {
        int start = at.at();
        at.skip();
        Cursor inside = at.inside();
        if (!context.is("postgresql")) {
            boolean passes =
                    inside.text().replace(" ", "").toLowerCase(Locale.ROOT).contains("ignore_dup_key=on");
            if (passes) {
                context.draft.skip(
                        at.tokens().line(start),
                        "IGNORE_DUP_KEY = ON",
                        "that rows which are there already are passed over is not kept");
            }
            return;
        }
        var said = new ArrayList<String>();
        String before = options.get(context.dialect.name() + "." + DialectOption.STORAGE);
        if (before != null) {
            said.addAll(List.of(before.split(", ")));
        }
        for (Cursor each : inside.parts()) {
            String text = each.text().replaceAll("[\\s']", "").toLowerCase(Locale.ROOT);
            if (!text.isEmpty() && !text.startsWith("oids")) { // which there are none of any more
                String parameter = text.indexOf('=') < 0 ? text + "=true" : text;
                String name = parameter.substring(0, parameter.indexOf('=') + 1);
                said.removeIf(other -> other.startsWith(name)); // it is said anew
                said.add(parameter);
            }
        }
        boolean kept = said.isEmpty() || context.option(options, of, DialectOption.STORAGE, String.join(", ", said));
        if (!kept) {
            context.draft.skip(
                    at.tokens().line(start), at.tokens().text(start, at.at()), "how rows are stored is not kept");
        }
    }
}
