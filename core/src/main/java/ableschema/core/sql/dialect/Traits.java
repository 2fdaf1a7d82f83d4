package ableschema.core.sql.dialect;

import ableschema.core.carried.Carried;
import ableschema.core.expression.Expression;
import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.TypeForm.Kind;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is special about a database, as data: how names are written, which types there are, what it can do, and how it
 * compares. Each dialect begins from {@link #STANDARD} and says its differences. Immutable.
 */
public final class Traits {

    /** How names that stand without quotes are kept. */
    public enum Folding {
        LOWER,
        UPPER,
        AS_WRITTEN
    }

    /** How many rows may be empty in what is unique. */
    public enum Empties {
        /** Any number of them. */
        MANY,
        /** One. */
        ONE,
        /** Any number, but where some of the columns hold values those count. */
        MANY_IF_ALL_EMPTY
    }

    /** When two texts are the same to a key, as the database compares where nothing else is said. */
    public enum TextComparison {
        EXACT,
        /** Letter case makes no difference, nor do spaces at the end. */
        NO_CASE,
        /** Neither letter case nor accents make a difference, nor do spaces at the end. */
        NO_CASE_NO_ACCENTS,
        /** As the one before, but each letter by itself, and all beyond U+FFFF are the same. */
        NO_CASE_NO_ACCENTS_BY_LETTER;

        /** The form that is the same for texts which are the same to a key. */
        public String folded(String text) {
            return switch (this) {
                case EXACT -> text;
                case NO_CASE -> upper(text);
                case NO_CASE_NO_ACCENTS -> unaccented(upper(text));
                case NO_CASE_NO_ACCENTS_BY_LETTER ->
                    text.stripTrailing()
                            .codePoints()
                            .map(TextComparison::letter)
                            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                            .toString();
            };
        }

        private static String upper(String text) {
            return text.stripTrailing().toLowerCase(Locale.ROOT).toUpperCase(Locale.ROOT);
        }

        private static String unaccented(String text) {
            return Normalizer.normalize(text, Normalizer.Form.NFKD).replaceAll("\\p{M}+", "");
        }

        private static int letter(int character) {
            if (Character.isSupplementaryCodePoint(character)) {
                return '\uFFFD';
            }
            int base = Normalizer.normalize(Character.toString(character), Normalizer.Form.NFD)
                    .codePointAt(0);
            return base == '\u00df' ? 'S' : Character.toUpperCase(Character.toLowerCase(base));
        }
    }

    /** ISO/IEC 9075. */
    public static final Traits STANDARD = standard();

    private String name = "standard";
    private String label = "standard SQL";
    private char openingQuote = '"';
    private char closingQuote = '"';
    private Folding folding = Folding.UPPER;
    private Map<Part.Kind, Set<NameSpace>> nameSpaces = NameSpace.USUAL;
    private int longestName = 128;
    private boolean nameLengthInBytes;
    private Set<String> reserved = Set.of();
    private Set<String> systemColumns = Set.of();
    private Map<Kind, TypeForm> types = Map.of();
    private int decimalScale;
    private int keyRoom;
    private Optional<Relative> relative = Optional.empty();
    private Set<Ability> abilities = EnumSet.allOf(Ability.class);
    private Empties empties = Empties.MANY;
    private TextComparison comparison = TextComparison.EXACT;
    private Map<StandardFunction, String> functions = Map.of();
    private Set<DialectOption> options = Set.of(DialectOption.partialMatch(), DialectOption.waiting());
    private Making making = Making.USUAL;
    private List<String> access = List.of();

    private Traits() {}

    private static Traits standard() {
        var traits = new Traits();
        traits.reserved = ReservedWords.STANDARD;
        var types = new EnumMap<Kind, TypeForm>(Kind.class);
        types.put(Kind.TEXT, TypeForm.of("varchar({n})"));
        types.put(Kind.LONG_TEXT, TypeForm.of("clob"));
        types.put(Kind.SMALL, TypeForm.of("smallint", 2));
        types.put(Kind.WHOLE, TypeForm.of("integer", 4));
        types.put(Kind.BIG, TypeForm.of("bigint", 8));
        types.put(Kind.DECIMAL, TypeForm.of("decimal({p},{s})"));
        types.put(Kind.REAL, TypeForm.of("double precision", 8));
        types.put(Kind.YES_NO, TypeForm.of("boolean", 1));
        types.put(Kind.YEAR, TypeForm.of("smallint", 2));
        types.put(Kind.DATE, TypeForm.of("date"));
        types.put(Kind.TIME, TypeForm.of("time"));
        types.put(Kind.MOMENT, TypeForm.of("timestamp"));
        types.put(Kind.MOMENT_ANYWHERE, TypeForm.of("timestamp with time zone"));
        types.put(Kind.UUID, TypeForm.of("char(36)", 36));
        types.put(Kind.JSON, TypeForm.of("json"));
        types.put(Kind.BYTES, TypeForm.of("varbinary({n})"));
        types.put(Kind.LONG_BYTES, TypeForm.of("blob"));
        types.put(Kind.LIST, TypeForm.of("varchar({n})"));
        traits.types = types;
        var functions = new EnumMap<StandardFunction, String>(StandardFunction.class);
        for (StandardFunction each : StandardFunction.values()) {
            functions.put(each, each.standard());
        }
        traits.functions = functions;
        return traits;
    }

    private Traits copy() {
        var copy = new Traits();
        copy.name = name;
        copy.label = label;
        copy.openingQuote = openingQuote;
        copy.closingQuote = closingQuote;
        copy.folding = folding;
        copy.nameSpaces = nameSpaces;
        copy.longestName = longestName;
        copy.nameLengthInBytes = nameLengthInBytes;
        copy.reserved = reserved;
        copy.systemColumns = systemColumns;
        copy.types = types;
        copy.decimalScale = decimalScale;
        copy.keyRoom = keyRoom;
        copy.relative = relative;
        copy.abilities = abilities;
        copy.empties = empties;
        copy.comparison = comparison;
        copy.functions = functions;
        copy.options = options;
        copy.making = making;
        copy.access = access;
        return copy;
    }

    /** @param name as on the command line and in files; {@code label} is for people */
    Traits named(String name, String label) {
        Traits traits = copy();
        traits.name = name;
        traits.label = label;
        return traits;
    }

    Traits quoting(char opening, char closing) {
        Traits traits = copy();
        traits.openingQuote = opening;
        traits.closingQuote = closing;
        return traits;
    }

    Traits folding(Folding folding) {
        Traits traits = copy();
        traits.folding = folding;
        return traits;
    }

    Traits namesIn(Map<Part.Kind, Set<NameSpace>> spaces) {
        Traits traits = copy();
        traits.nameSpaces = spaces;
        return traits;
    }

    /** Names of at most so many characters; 0 for no limit. */
    Traits namesUpTo(int characters) {
        Traits traits = copy();
        traits.longestName = characters;
        traits.nameLengthInBytes = false;
        return traits;
    }

    /** Names of at most so many bytes of UTF-8. */
    Traits namesUpToBytes(int bytes) {
        Traits traits = namesUpTo(bytes);
        traits.nameLengthInBytes = true;
        return traits;
    }

    Traits reserving(Set<String> words) {
        Traits traits = copy();
        traits.reserved = words;
        return traits;
    }

    /** Names that a column cannot have, in small letters. */
    Traits withSystemColumns(String... names) {
        Traits traits = copy();
        traits.systemColumns = Set.of(names);
        return traits;
    }

    Traits with(Kind kind, TypeForm form) {
        Traits traits = copy();
        var changed = new EnumMap<>(types);
        changed.put(kind, form);
        traits.types = changed;
        return traits;
    }

    /** The most digits that may stand behind the point; 0 for no limit. */
    /**
     * A dialect of which most options mean the same here.
     *
     * @param missing what there is not here, of the values and names of its options
     * @param unknown what stands in expressions that are not understood here
     */
    record Relative(String name, Pattern missing, Pattern unknown) {}

    /** What is said in a dialect that is nearly the same holds here too, where nothing else is said. */
    Traits relatedTo(String name, String missing, String unknown) {
        Traits traits = copy();
        traits.relative = Optional.of(new Relative(
                name,
                Pattern.compile(missing, Pattern.CASE_INSENSITIVE),
                Pattern.compile(unknown, Pattern.CASE_INSENSITIVE)));
        return traits;
    }

    /** Whether an expression of a related dialect means the same here. */
    boolean isUnderstood(Expression<String> expression) {
        return relative.filter(each -> each.name().equals(expression.dialect())
                        && !each.unknown().matcher(expression.toString()).find())
                .isPresent();
    }

    Optional<Relative> relative() {
        return relative;
    }

    /** Keys and indexes that take at most so many bytes; wider ones are refused when they are made. */
    Traits keysUpTo(int bytes) {
        Traits traits = copy();
        traits.keyRoom = bytes;
        return traits;
    }

    /** How many bytes a key or an index may take; 0 where any number is taken when it is made. */
    public int keyRoom() {
        return keyRoom;
    }

    Traits decimalScaleUpTo(int digits) {
        Traits traits = copy();
        traits.decimalScale = digits;
        return traits;
    }

    Traits without(Ability... missing) {
        Traits traits = copy();
        traits.abilities = EnumSet.copyOf(abilities);
        for (Ability each : missing) {
            traits.abilities.remove(each);
        }
        return traits;
    }

    /** How what stands beside tables is set apart, and which of it can be made anew by what word. */
    Traits making(Making.Apart apart, String anew, Carried.Kind... kinds) {
        Traits traits = copy();
        traits.making = new Making(apart, anew, Set.of(kinds));
        return traits;
    }

    /** How rights are given in a schema: {rights} and {schema} are filled in, and TO a user stands behind. */
    Traits granting(String... templates) {
        Traits traits = copy();
        traits.access = List.of(templates);
        return traits;
    }

    Traits holdingEmpties(Empties empties) {
        Traits traits = copy();
        traits.empties = empties;
        return traits;
    }

    Traits comparing(TextComparison comparison) {
        Traits traits = copy();
        traits.comparison = comparison;
        return traits;
    }

    Traits calling(StandardFunction function, String template) {
        Traits traits = copy();
        var changed = new EnumMap<>(functions);
        changed.put(function, template);
        traits.functions = changed;
        return traits;
    }

    Traits withOptions(DialectOption... options) {
        Traits traits = copy();
        traits.options = Stream.concat(
                        Stream.of(options), Stream.of(DialectOption.partialMatch(), DialectOption.waiting()))
                .collect(Collectors.toUnmodifiableSet());
        return traits;
    }

    /** With one more thing that can be said in this dialect alone. */
    Traits withOption(DialectOption option) {
        Traits traits = copy();
        traits.options = Stream.concat(options.stream(), Stream.of(option)).collect(Collectors.toUnmodifiableSet());
        return traits;
    }

    /** The name on the command line and in files, such as {@code postgresql}. */
    public String name() {
        return name;
    }

    /** The name for people, such as PostgreSQL. */
    public String label() {
        return label;
    }

    char openingQuote() {
        return openingQuote;
    }

    char closingQuote() {
        return closingQuote;
    }

    public Folding folding() {
        return folding;
    }

    /** Where the names of constraints and indexes must differ from each other. */
    public Map<Part.Kind, Set<NameSpace>> nameSpaces() {
        return nameSpaces;
    }

    /** The longest name, in characters or, where the database counts so, in bytes; 0 for no limit. */
    public int longestName() {
        return longestName;
    }

    /** Whether a name is longer than this database takes. */
    public boolean isTooLong(String identifier) {
        int length = nameLengthInBytes
                ? identifier.getBytes(StandardCharsets.UTF_8).length
                : identifier.codePointCount(0, identifier.length());
        return longestName > 0 && length > longestName;
    }

    public boolean reserves(String word) {
        return reserved.contains(word.toLowerCase(Locale.ROOT));
    }

    /** Whether the database has a column of this name in every table, so that no other can be called so. */
    public boolean isSystemColumn(String column) {
        return systemColumns.contains(column.toLowerCase(Locale.ROOT));
    }

    public TypeForm type(Kind kind) {
        return types.getOrDefault(kind, TypeForm.of("?"));
    }

    int decimalScale() {
        return decimalScale;
    }

    public boolean can(Ability ability) {
        return abilities.contains(ability);
    }

    public Empties empties() {
        return empties;
    }

    public TextComparison comparison() {
        return comparison;
    }

    /** How a function is called here; {@code {0}} is its first argument. */
    public String template(StandardFunction function) {
        return functions.getOrDefault(function, function.standard());
    }

    /** How rights are given in a schema; empty where they are on each table. */
    public List<String> access() {
        return access;
    }

    public Making making() {
        return making;
    }

    /** What can be said of tables, columns and indexes in this dialect alone. */
    public Set<DialectOption> options() {
        return Collections.unmodifiableSet(options);
    }
}
