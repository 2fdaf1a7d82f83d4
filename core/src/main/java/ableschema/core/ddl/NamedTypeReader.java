package ableschema.core.ddl;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.expression.Token;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.Part;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads named types: lists of values, and domains with what their values must meet. */
final class NamedTypeReader {

    private final Context context;

    NamedTypeReader(Context context) {
        this.context = context;
    }

    /** Reads what stands behind CREATE TYPE or CREATE DOMAIN. */
    void make(Cursor at) {
        boolean isDomain = at.accept("domain");
        if (!isDomain) {
            at.expect("type");
        }
        at.skipCondition();
        TableName name = context.draft.placed(at.qualified());
        at.accept("as");
        if (!isDomain && !at.is("enum") && !at.accept("from")) {
            throw new Unread("only lists of values are read as named types");
        }
        DomainType made = at.accept("enum") ? enumeration(name, at) : domain(name, at);
        context.draft.domains.put(context.names.key(name.name()), made);
    }

    private DomainType enumeration(TableName name, Cursor at) {
        var values = new LinkedHashSet<String>();
        for (Cursor value : at.inside().parts()) {
            values.add(value.string());
        }
        values.remove("");
        if (values.isEmpty()) {
            throw new Unread("a list without values holds nothing");
        }
        var options = new HashMap<String, String>();
        context.option(options, Part.Kind.DOMAIN, "enum", "yes");
        return new DomainType(
                name, new DataType.OneOf(List.copyOf(values)), Expression.none(), Expression.none(), "", options);
    }

    private DomainType domain(TableName name, Cursor at) {
        int start = at.at();
        SqlType type = context.types.read(at);
        DataType base = context.base(context.meaning(type));
        var options = new HashMap<String, String>();
        if (!context.types.isUsual(type, context.dialect.type(base))) {
            context.option(options, Part.Kind.DOMAIN, DialectOption.TYPE, type.canonical());
        }
        Expression<String> filled = Expression.none();
        var checks = new ArrayList<Expression<String>>();
        String called = "";
        while (!at.atEnd()) {
            if (at.accept("constraint")) {
                called = given(at.name(), name);
            } else if (at.accept("check")) {
                checks.add(condition(at));
            } else if (at.accept("default")) {
                filled = context.defaultValue(value(at), base);
            } else if (at.accept("not", "null")) {
                keep(options, DialectOption.NOT_NULL, "yes", at, start);
            } else if (at.accept("collate")) {
                keep(options, DialectOption.COLLATION, at.lastName(), at, start);
            } else {
                at.skip();
            }
        }
        if (!called.isEmpty() && checks.size() == 1) {
            keep(options, DialectOption.CONSTRAINT, called, at, start);
        } else if (!called.isEmpty() && checks.size() > 1) {
            tell(at, start, "the names of the checks of " + name + " are not kept, which become one");
        }
        return new DomainType(
                name, base, checks.stream().reduce(Expression.none(), NamedTypeReader::both), filled, "", options);
    }

    /** The name of a check; empty where it is what PostgreSQL calls it by itself. */
    private String given(String called, TableName type) {
        boolean usual = context.is("postgresql")
                && called.startsWith(type.name() + "_check")
                && called.substring(type.name().length() + "_check".length())
                        .chars()
                        .allMatch(Character::isDigit);
        return usual ? "" : called;
    }

    private void keep(Map<String, String> options, String option, String value, Cursor at, int start) {
        if (!context.option(options, Part.Kind.DOMAIN, option, value)) {
            tell(at, start, "the " + option.replace('_', ' ') + " of a named type is not kept");
        }
    }

    private void tell(Cursor at, int start, String reason) {
        context.draft.skip(at.tokens().line(start), at.tokens().text(start, at.end()), reason);
    }

    /** What stands behind DEFAULT, up to what says something else. */
    private static Cursor value(Cursor at) {
        int start = at.at();
        at.skip();
        if (at.is('(')) {
            at.inside();
        }
        while (!at.atEnd() && !at.isAny("check", "constraint", "not", "null", "collate")) {
            at.skip();
        }
        int end = at.at();
        at.skipTo(start);
        return at.upTo(end);
    }

    /** Both conditions as one. */
    private static Expression<String> both(Expression<String> one, Expression<String> other) {
        if (!one.isPresent()) {
            return other;
        }
        var pieces = new ArrayList<Expression.Piece<String>>(apart(one));
        pieces.add(new Expression.Text<>(" and "));
        pieces.addAll(apart(other));
        return new Expression<>(pieces, one.isStandard() ? other.dialect() : one.dialect());
    }

    /** A condition as it stands beside AND: between brackets where it says "or". */
    private static List<Expression.Piece<String>> apart(Expression<String> condition) {
        if (condition.isStandard() && Token.of(condition).stream().noneMatch(token -> token.is("or"))) {
            return condition.pieces();
        }
        var pieces = new ArrayList<Expression.Piece<String>>();
        pieces.add(new Expression.Text<>("("));
        pieces.addAll(condition.pieces());
        pieces.add(new Expression.Text<>(")"));
        return pieces;
    }

    /** Reads what stands behind COMMENT ON DOMAIN, or TYPE; false where it is none that was made here. */
    boolean describe(Cursor at) {
        at.skip();
        String key = context.names.key(at.lastName());
        DomainType domain = context.draft.domains.get(key);
        if (domain == null) {
            return false;
        }
        at.expect("is");
        context.draft.domains.put(
                key,
                new DomainType(
                        domain.name(),
                        domain.base(),
                        domain.check(),
                        domain.defaultValue(),
                        OtherReader.text(at),
                        domain.options()));
        return true;
    }

    /** Reads what stands behind ALTER DOMAIN. */
    void alterDomain(Cursor at) {
        at.skipCondition();
        String key = context.names.key(at.lastName());
        DomainType type = context.draft.domains.get(key);
        if (type == null || !at.accept("add")) {
            throw new Unread("nothing is known of this change");
        }
        int start = at.at();
        String called = at.accept("constraint") ? given(at.lastName(), type.name()) : "";
        at.expect("check");
        Expression<String> condition = condition(at);
        var options = new HashMap<>(type.options());
        boolean named = options.remove(context.dialect.name() + "." + DialectOption.CONSTRAINT) != null;
        if (!called.isEmpty() && !type.check().isPresent()) {
            keep(options, DialectOption.CONSTRAINT, called, at, start);
        } else if (named || !called.isEmpty()) {
            tell(at, start, "the names of the checks of " + type.name() + " are not kept, which become one");
        }
        context.draft.domains.put(
                key,
                new DomainType(
                        type.name(),
                        type.base(),
                        both(type.check(), condition),
                        type.defaultValue(),
                        type.comment(),
                        options));
    }

    private Expression<String> condition(Cursor at) {
        return context.expressions.read(
                at.inside(), word -> word.equalsIgnoreCase("value") ? Optional.of(DomainType.VALUE) : Optional.empty());
    }

    /** Reads what stands behind ALTER TYPE. */
    void alterType(Cursor at) {
        String key = context.names.key(at.lastName());
        DomainType type = context.draft.domains.get(key);
        if (type == null || !(type.base() instanceof DataType.OneOf list)) {
            throw new Unread("nothing is known of this change");
        }
        var values = new ArrayList<>(list.values());
        if (at.accept("rename", "value")) {
            renameValue(key, type, values, at);
            return;
        }
        if (!at.accept("add", "value")) {
            throw new Unread("nothing is known of this change");
        }
        at.skipCondition();
        String value = at.string();
        int place = values.size();
        if (at.isAny("before", "after")) {
            boolean before = at.accept("before") || !at.accept("after");
            int near = values.indexOf(at.string());
            place = near < 0 ? place : before ? near : near + 1;
        }
        if (!values.contains(value)) {
            values.add(place, value);
        }
        context.draft.domains.put(
                key,
                new DomainType(
                        type.name(),
                        new DataType.OneOf(values),
                        type.check(),
                        type.defaultValue(),
                        type.comment(),
                        type.options()));
    }

    /** Another word for a value; what columns take where nothing is given follows it. */
    private void renameValue(String key, DomainType type, List<String> values, Cursor at) {
        String before = at.string();
        at.expect("to");
        String to = at.string();
        values.replaceAll(each -> each.equals(before) ? to : each);
        DataType changed = new DataType.OneOf(values);
        context.draft.domains.put(
                key,
                new DomainType(
                        type.name(), changed, type.check(), type.defaultValue(), type.comment(), type.options()));
        String given = context.dialect.text(before);
        for (DraftTable table : context.draft.tables()) {
            table.columns.replaceAll(column -> column.type() instanceof DataType.InDomain in
                            && in.domain().equals(type.name().toString())
                            && column.defaultValue().toString().equals(given)
                    ? column.withFilling(Filling.byDefault(Expression.text(context.dialect.text(to))))
                    : column);
        }
    }
}
