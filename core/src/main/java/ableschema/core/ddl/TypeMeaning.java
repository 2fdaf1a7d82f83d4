package ableschema.core.ddl;

import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.TypeForm;
import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;
import ableschema.core.types.DataTypes;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What the types of a dialect hold. First comes how the dialect itself would write each kind of value, then what the name means
 * anywhere; what no kind fits is held as a text.
 */
final class TypeMeaning {

    /** Of two kinds that are written alike the earlier one is meant. */
    private static final List<TypeForm.Kind> ORDER = List.of(
            TypeForm.Kind.WHOLE,
            TypeForm.Kind.BIG,
            TypeForm.Kind.SMALL,
            TypeForm.Kind.LONG_TEXT,
            TypeForm.Kind.REAL,
            TypeForm.Kind.YES_NO,
            TypeForm.Kind.DATE,
            TypeForm.Kind.TIME,
            TypeForm.Kind.MOMENT,
            TypeForm.Kind.MOMENT_ANYWHERE,
            TypeForm.Kind.UUID,
            TypeForm.Kind.JSON,
            TypeForm.Kind.LONG_BYTES);

    private static final Map<TypeForm.Kind, DataType> HELD = held();

    private final Dialect dialect;
    private final boolean mysql;
    private final boolean sqlserver;
    private final OwnTypes names;
    private final Map<String, DataType> own = new HashMap<>();

    /** The forms of types that the dialect writes, which are asked for at each column. */
    private final Map<String, String> usual = new HashMap<>();

    TypeMeaning(Dialect dialect) {
        this.dialect = dialect;
        this.names = new OwnTypes(dialect);
        this.sqlserver = dialect.name().equals("sqlserver");
        this.mysql = dialect.name().equals("mysql") || dialect.name().equals("mariadb");
        for (TypeForm.Kind kind : ORDER) {
            String pattern = dialect.traits().type(kind).pattern();
            boolean inDoubt = pattern.startsWith("varchar2(");
            if (pattern.indexOf('{') < 0 && !inDoubt) {
                own.putIfAbsent(parsed(pattern).canonical(), HELD.getOrDefault(kind, DataTypes.UNDECIDED));
            }
        }
    }

    private static Map<TypeForm.Kind, DataType> held() {
        var held = new EnumMap<TypeForm.Kind, DataType>(TypeForm.Kind.class);
        for (Simple simple : Simple.values()) {
            held.put(TypeForm.Kind.valueOf(simple.name()), simple);
        }
        held.put(TypeForm.Kind.WHOLE, new DataType.Whole(0));
        held.put(TypeForm.Kind.BIG, new DataType.Whole(DataType.Whole.LARGEST));
        held.put(TypeForm.Kind.SMALL, new DataType.Whole(Short.MAX_VALUE));
        held.put(TypeForm.Kind.LONG_TEXT, new DataType.Text(0));
        held.put(TypeForm.Kind.LONG_BYTES, new DataType.Bytes(0));
        return held;
    }

    /** A type out of a text that holds nothing else. */
    SqlType parsed(String text) {
        var lexis = Lexis.of(dialect);
        var tokens = new Tokens(text, lexis);
        new Lexer(text, lexis).next(tokens);
        return read(new Cursor(tokens, new Names(dialect), 0, tokens.count()));
    }

    /** Reads a type, which gets the name that the database has for it. */
    SqlType read(Cursor at) {
        return names.of(TypeReader.read(at, isFree()));
    }

    /** A type as the database prints it. */
    String printed(SqlType type) {
        return names.printed(type);
    }

    /** Whether any words are a type. */
    boolean isFree() {
        return dialect.name().equals("sqlite");
    }

    /** Whether a type is what the dialect would write for a type of ours. */
    boolean isUsual(SqlType found, String written) {
        return usual.computeIfAbsent(written, text -> canonical(parsed(text))).equals(canonical(found));
    }

    private String canonical(SqlType type) {
        if (mysql) {
            if (type.name().equals("tinyint") && type.number(0) == 1 && !type.unsigned()) {
                return "boolean";
            }
            boolean whole = List.of("tinyint", "smallint", "mediumint", "integer", "bigint", "year")
                    .contains(type.name());
            return whole
                    ? SqlType.of(type.name(), List.of(), type.unsigned(), type.array(), "")
                            .canonical()
                    : type.canonical();
        }
        return type.canonical();
    }

    /** What a type holds. */
    DataType of(SqlType type) {
        if (type.array().contains("[") || type.array().startsWith(" array")) {
            return new DataType.Text(0);
        }
        if (sqlserver && (type.name().equals("timestamp") || type.name().equals("rowversion"))) {
            return new DataType.Bytes(8); // a number of the row's version, and no moment
        }
        DataType known = own.get(canonical(type));
        return known == null ? anywhere(type) : known;
    }

    private DataType anywhere(SqlType type) {
        return switch (type.name()) {
            case "integer" -> new DataType.Whole(type.unsigned() ? 4_294_967_295L : 0);
            case "mediumint" -> new DataType.Whole(type.unsigned() ? 16_777_215 : 8_388_607);
            case "smallint" -> new DataType.Whole(type.unsigned() ? 65_535 : Short.MAX_VALUE);
            case "tinyint" -> new DataType.Whole(255);
            case "bigint" -> new DataType.Whole(DataType.Whole.LARGEST);
            case "serial", "smallserial" -> new DataType.Counted(1, 1);
            case "bigserial" -> new DataType.Counted(1, 1, DataType.Whole.LARGEST);
            case "decimal", "number" -> decimal(type);
            case "money" -> new DataType.Decimal(19, 4);
            case "smallmoney" -> new DataType.Decimal(10, 4);
            case "real", "double", "double precision", "float", "binary_float", "binary_double", "decfloat" ->
                Simple.REAL;
            case "boolean" -> Simple.YES_NO;
            case "bit" -> type.has(0) || type.number(0) == 1 ? Simple.YES_NO : new DataType.Text(0);
            case "date" -> Simple.DATE;
            case "time" -> Simple.TIME;
            case "timestamp", "datetime", "datetime2", "smalldatetime" -> Simple.MOMENT;
            case "timestamptz", "datetimeoffset", "timestamp with local time zone" -> Simple.MOMENT_ANYWHERE;
            case "year" -> Simple.YEAR;
            case "uuid", "uniqueidentifier" -> Simple.UUID;
            case "json", "jsonb" -> Simple.JSON;
            case "enum" -> list(type);
            case "set" ->
                new DataType.Text(type.arguments().stream()
                        .map(Literal::of)
                        .collect(Collectors.joining(","))
                        .length());
            case "bytea", "blob", "tinyblob", "mediumblob", "longblob", "image", "long raw", "bfile" ->
                new DataType.Bytes(0);
            case "varbinary", "binary", "raw" -> new DataType.Bytes(type.number(0));
            default -> texts(type);
        };
    }

    private DataType texts(SqlType type) {
        boolean sized = type.name().contains("char")
                || type.name().contains("varying")
                || type.name().equals("text");
        long size = type.number(0);
        if (type.name().equals("char")
                && type.has(0)
                && !isFree()
                && !type.text().equalsIgnoreCase("bpchar")) {
            size = 1;
        }
        if (isFree() && !sized) {
            return affinity(type);
        }
        return new DataType.Text(sized && size <= Integer.MAX_VALUE ? (int) size : 0);
    }

    /** Where any words are a type, what they contain says what is kept (SQLite, "Determination Of Column Affinity"). */
    private static DataType affinity(SqlType type) {
        if (type.name().contains("int")) {
            return new DataType.Whole(0);
        }
        if (type.name().contains("clob") || type.name().contains("text")) {
            return new DataType.Text(0);
        }
        if (type.name().isEmpty() || type.name().contains("blob")) {
            return type.name().isEmpty() ? new DataType.Text(0) : new DataType.Bytes(0);
        }
        boolean real = type.name().contains("real")
                || type.name().contains("floa")
                || type.name().contains("doub");
        return real ? Simple.REAL : new DataType.Text(0);
    }

    private static DataType decimal(SqlType type) {
        long digits = type.number(0);
        long places = type.number(1);
        if (digits < 1 || digits > 1000 || places > digits) {
            return type.has(0) && type.name().equals("decimal") ? DataType.Decimal.ANY : new DataType.Decimal(38, 0);
        }
        boolean whole = type.name().equals("number") && places == 0 && digits <= 18;
        return whole
                ? new DataType.Whole((long) Math.pow(10, digits) - 1)
                : new DataType.Decimal((int) digits, (int) places);
    }

    private static DataType list(SqlType type) {
        var values = new LinkedHashSet<String>();
        type.arguments().forEach(value -> values.add(Literal.of(value)));
        values.remove("");
        return values.isEmpty() ? new DataType.Text(0) : new DataType.OneOf(List.copyOf(values));
    }
}
