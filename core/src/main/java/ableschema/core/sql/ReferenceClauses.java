package ableschema.core.sql;

import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Writes the foreign keys of one table. */
record ReferenceClauses(Dialect dialect, Table table, TableNames names, Predicate<ForeignKey> deferred) {

    List<String> clause(ForeignKey wanted) {
        ForeignKey key = allowed(wanted, table, dialect);
        boolean matchFull = key.wholeOrEmpty() && isMatchFull(key);
        return List.of(
                "CONSTRAINT " + names.of(table.part(Part.Kind.FOREIGN_KEY, key.name())),
                "  FOREIGN KEY " + dialect.listed(key.columns()),
                "  REFERENCES " + names.of(key.target()) + " " + dialect.listed(key.targetColumns())
                        + (matchFull ? " MATCH FULL" : "")
                        + action(" ON DELETE ", dialect.deleting(key.onDelete()))
                        + action(" ON UPDATE ", dialect.updating(key.onUpdate()))
                        + end(key));
    }

    private String end(ForeignKey key) {
        return deferred.test(key) && dialect.can(Ability.DEFERRED_CONSTRAINTS)
                ? " DEFERRABLE INITIALLY DEFERRED"
                : dialect.ruleEnd(Part.Kind.FOREIGN_KEY, key.options());
    }

    private static String action(String when, ReferenceAction action) {
        return action == ReferenceAction.NO_ACTION ? "" : when + action.sql();
    }

    /** The key with what this database lets it do: where a column is never empty, some take no SET NULL. */
    static ForeignKey allowed(ForeignKey key, Table table, Dialect dialect) {
        boolean required = key.columns().stream()
                .anyMatch(name ->
                        table.column(name).filter(column -> !column.nullable()).isPresent());
        if (!required || dialect.can(Ability.SET_NULL_OF_REQUIRED)) {
            return key;
        }
        ReferenceAction onDelete =
                key.onDelete() == ReferenceAction.SET_NULL ? ReferenceAction.NO_ACTION : key.onDelete();
        ReferenceAction onUpdate =
                key.onUpdate() == ReferenceAction.SET_NULL ? ReferenceAction.NO_ACTION : key.onUpdate();
        return key.acting(onDelete, onUpdate);
    }

    /** MATCH FULL asks for all columns or none, which only goes where none of them must be there. */
    private boolean isMatchFull(ForeignKey key) {
        return dialect.can(Ability.MATCH_FULL)
                && optional(key).size() == key.columns().size();
    }

    private List<String> optional(ForeignKey key) {
        return key.columns().stream()
                .filter(name -> table.column(name).filter(Column::nullable).isPresent())
                .toList();
    }

    /** The condition that a reference of several columns is whole or empty, where MATCH FULL does not say it. */
    Optional<String> wholeOrEmpty(ForeignKey key) {
        if (!key.wholeOrEmpty() || isMatchFull(key) || !canCheck(key)) {
            return Optional.empty();
        }
        return Optional.of(all(key, " IS NULL") + " OR " + all(key, " IS NOT NULL"));
    }

    /** Whether a check can speak of the columns of this foreign key. */
    boolean canCheck(ForeignKey key) {
        return dialect.can(Ability.CHECK_CHANGED_REFERENCES) || !changes(key);
    }

    /** Whether the database itself changes columns of this table by this foreign key. */
    static boolean changes(ForeignKey key) {
        return switch (key.onDelete()) {
                    case SET_NULL, SET_DEFAULT -> true;
                    default -> false;
                }
                || switch (key.onUpdate()) {
                    case CASCADE, SET_NULL, SET_DEFAULT -> true;
                    default -> false;
                };
    }

    private String all(ForeignKey key, String condition) {
        return optional(key).stream()
                .map(name -> dialect.column(name) + condition)
                .collect(Collectors.joining(" AND "));
    }
}
