package ableschema.desktop.rows;

import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Row;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowTable;
import ableschema.core.sql.dialect.Ability;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is done to the sample rows of one thing: each an edit that can be undone. */
final class RowEdits {

    private static final int READ_AT_ONCE = 100_000;

    private final Workspace workspace;

    RowEdits(Workspace workspace) {
        this.workspace = workspace;
    }

    RowEntry entry(Id owner) {
        return new RowEntry(workspace.design(), owner, workspace.ids());
    }

    List<Row> rows(Id owner) {
        return workspace.design().body(owner).map(body -> body.rows()).orElse(List.of());
    }

    private void set(Id owner, List<Row> rows, String name) {
        workspace.apply(workspace.edits().setRows(owner, rows, name));
    }

    private String label(Id owner) {
        return workspace.design().nameOf(owner);
    }

    private Optional<Row> now(Id owner, Row shown) {
        return rows(owner).stream().filter(row -> row.id().equals(shown.id())).findFirst();
    }

    /** @param shown the row as it was when its cell was shown; it may have changed since */
    void change(Id owner, Row shown, KeyPart part, String typed) {
        RowEntry entry = entry(owner);
        if (entry.isComputed(part)) {
            workspace
                    .notices()
                    .complain(entry.heading(part) + " is computed by the database, so that nothing is typed there");
            return;
        }
        if (entry.isNumberedAlone(part) && workspace.dialect().can(Ability.NUMBERS_ALONE)) {
            workspace
                    .notices()
                    .complain("only the database gives the numbers of " + entry.heading(part) + ", which never change: "
                            + workspace.dialect().label() + " refuses one that is typed");
            return;
        }
        now(owner, shown)
                .ifPresent(row -> set(
                        owner,
                        Lists.replace(rows(owner), Row::id, entry.with(row, part, typed)),
                        "set " + entry.heading(part) + " in a row of " + label(owner)));
    }

    void append(Id owner) {
        set(owner, Lists.plus(rows(owner), entry(owner).newRow(rows(owner))), addsRow(owner));
    }

    private String addsRow(Id owner) {
        return "add a row to " + label(owner);
    }

    /** Takes a row back that was only just added, and into which nothing was typed. */
    void takeBackIfNew(Id owner, Row shown) {
        List<Row> rows = rows(owner);
        Optional<Row> row = now(owner, shown);
        boolean isLast = row.isPresent() && row.get() == rows.get(rows.size() - 1);
        if (isLast && workspace.undoable().equals(Optional.of(addsRow(owner)))) {
            workspace.undo();
        }
    }

    void delete(Id owner, List<Row> gone) {
        var kept = new ArrayList<>(rows(owner));
        kept.removeAll(gone);
        set(
                owner,
                kept,
                (gone.size() == 1 ? "delete a row of " : "delete " + gone.size() + " rows of ") + label(owner));
    }

    /** Fills cells with tab-separated text, from one cell on. */
    void fill(Id owner, String text, int row, int column) {
        try {
            RowTable.Filling filling = new RowTable(entry(owner)).fill(text, rows(owner), row, column);
            set(owner, filling.all(), "paste cells into " + label(owner));
            if (filling.left() > 0) {
                String cells = filling.left() == 1 ? " cell" : " cells";
                workspace.notices().say(filling.left() + cells + " beyond the last column left out");
            }
        } catch (IllegalArgumentException e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
        }
    }

    /** Reads rows and puts them behind those that are there; a long text is read as a job. */
    void read(Id owner, String text, boolean tabs, String name) {
        var table = new RowTable(entry(owner));
        List<Row> before = rows(owner);
        if (text.length() < READ_AT_ONCE) {
            try {
                take(owner, table.read(text, tabs, before), name);
            } catch (IllegalArgumentException e) {
                workspace.notices().complain(String.valueOf(e.getMessage()));
            }
            return;
        }
        workspace
                .jobs()
                .run(
                        name + label(owner),
                        progress -> table.read(text, tabs, before),
                        () -> workspace.design().body(owner).isPresent(),
                        reading -> take(owner, reading, name),
                        failure -> workspace.notices().complain(String.valueOf(failure.getMessage())));
    }

    private void take(Id owner, RowTable.Reading reading, String name) {
        var all = new ArrayList<>(rows(owner));
        all.addAll(reading.rows());
        set(owner, all, name + label(owner));
        String left = reading.unknown().isEmpty()
                ? ""
                : "; left out, as " + label(owner) + " has no such attribute: " + String.join(", ", reading.unknown());
        workspace.notices().say(reading.rows().size() + " rows read" + left);
    }
}
