package ableschema.core.types;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * A typed text held against a type: either it fits, and has one form that all engines read, or there is a reason why
 * it does not.
 *
 * @param canonical the value in the one form, such as {@code 2027-04-12} or {@code 4.20}; the text itself if it does not fit
 * @param problem   why it does not fit; empty if it does
 */
public record TypedValue(String canonical, Optional<String> problem) {

    private static final Set<String> YES = Set.of("yes", "true", "y", "1");
    private static final Set<String> NO = Set.of("no", "false", "n", "0");
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm:ss");

    public static TypedValue of(DataType type, String text) {
        try {
            return type.accept(new Reading(text));
        } catch (DateTimeException | IllegalArgumentException e) {
            return misfit(text, "'" + text + "' is not " + example(type));
        }
    }

    /** The form that is the same for values which mean the same: of moments with their zone, the moment at Greenwich. */
    public String comparable(DataType type) {
        return type == DataType.Simple.MOMENT_ANYWHERE && fits()
                ? OffsetDateTime.parse(Reading.joined(canonical))
                        .withOffsetSameInstant(ZoneOffset.UTC)
                        .format(MOMENT)
                : canonical;
    }

    public boolean fits() {
        return problem.isEmpty();
    }

    private static TypedValue fitting(String canonical) {
        return new TypedValue(canonical, Optional.empty());
    }

    private static TypedValue misfit(String text, String reason) {
        return new TypedValue(text, Optional.of(reason));
    }

    private static String example(DataType type) {
        return type.accept(EXAMPLE);
    }

    private static final DataType.Visitor<String> EXAMPLE = new DataType.OtherVisitor<>() {
        @Override
        protected String other(DataType type) {
            return "a whole number";
        }

        @Override
        public String decimal(DataType.Decimal type) {
            return "a number such as 4.2";
        }

        @Override
        public String bytes(DataType.Bytes type) {
            return "bytes in pairs of digits, such as 0aff";
        }

        @Override
        public String simple(DataType.Simple type) {
            return switch (type) {
                case REAL -> "a number such as 0.5";
                case YES_NO -> "yes or no";
                case YEAR -> "a year such as 2027";
                case DATE -> "a date such as 2027-04-12";
                case TIME -> "a time such as 09:30";
                case MOMENT -> "a moment such as 2027-04-12 09:30";
                case MOMENT_ANYWHERE -> "a moment with its zone, such as 2027-04-12 09:30+02:00";
                case UUID -> "a uuid such as 5f2c1f6e-8a34-4c52-9d57-0b6b1a2c3d4e";
                case JSON -> "json such as {\"frames\": 10}";
            };
        }
    };

    /** Reads one text as each kind of type in turn. */
    private record Reading(String text) implements DataType.Visitor<TypedValue> {

        @Override
        public TypedValue undecided() {
            return plainText(0);
        }

        @Override
        public TypedValue text(DataType.Text type) {
            return plainText(type.max());
        }

        private TypedValue plainText(int max) {
            int length = text.codePointCount(0, text.length());
            if (max > 0 && length > max) {
                return misfit(text, "'" + shortened() + "' has " + length + " characters, more than " + max);
            }
            return text.indexOf('\0') >= 0 ? misfit(text, "it holds a null character") : fitting(text);
        }

        private String shortened() {
            return text.length() <= 40 ? text : text.substring(0, text.offsetByCodePoints(0, 20)) + "…";
        }

        @Override
        public TypedValue whole(DataType.Whole type) {
            long value = Long.parseLong(text.strip());
            return value > type.widest() || value < type.lowest()
                    ? misfit(text, "'" + text + "' is beyond " + (value < 0 ? type.lowest() : type.widest()))
                    : fitting(Long.toString(value));
        }

        @Override
        public TypedValue counted(DataType.Counted type) {
            return whole(new DataType.Whole(type.largest()));
        }

        @Override
        public TypedValue decimal(DataType.Decimal type) {
            var value = new BigDecimal(text.strip()).stripTrailingZeros();
            if (value.scale() > type.scale()) {
                return misfit(
                        text, "'" + text + "' has " + value.scale() + " decimal places, more than " + type.scale());
            }
            int places = type.equals(DataType.Decimal.ANY) ? Math.max(0, value.scale()) : type.scale();
            return value.precision() - value.scale() > type.precision() - type.scale()
                    ? misfit(text, "'" + text + "' is too large for " + type)
                    : fitting(value.setScale(places).toPlainString());
        }

        @Override
        public TypedValue list(DataType.OneOf type) {
            return type.values().contains(text)
                    ? fitting(text)
                    : misfit(text, "'" + shortened() + "' is none of " + String.join(", ", type.values()));
        }

        @Override
        public TypedValue bytes(DataType.Bytes type) {
            byte[] bytes = HexFormat.of().parseHex(text.strip().toLowerCase(Locale.ROOT));
            return type.max() > 0 && bytes.length > type.max()
                    ? misfit(text, "it has " + bytes.length + " bytes, more than " + type.max())
                    : fitting(HexFormat.of().formatHex(bytes));
        }

        @Override
        public TypedValue domain(DataType.InDomain type) {
            return plainText(0); // what the domain holds is known to the design or schema, which resolves it
        }

        @Override
        public TypedValue simple(DataType.Simple type) {
            String value = text.strip();
            return switch (type) {
                case REAL -> real(value);
                case YES_NO -> yesNo(value.toLowerCase(Locale.ROOT));
                case YEAR -> year(value);
                case DATE -> fitting(LocalDate.parse(value).toString());
                case TIME -> fitting(LocalTime.parse(value).format(DateTimeFormatter.ofPattern("HH:mm:ss")));
                case MOMENT -> fitting(LocalDateTime.parse(joined(value)).format(MOMENT));
                case MOMENT_ANYWHERE -> momentAnywhere(value);
                case UUID -> uuid(value);
                case JSON -> fitting(JsonText.compact(value));
            };
        }

        private TypedValue real(String value) {
            double number = Double.parseDouble(value);
            return Double.isFinite(number) && Character.isLetter(value.charAt(value.length() - 1))
                            || !Double.isFinite(number)
                    ? misfit(text, "'" + text + "' is not a number such as 0.5")
                    : fitting(Double.toString(number));
        }

        private TypedValue yesNo(String value) {
            if (YES.contains(value)) {
                return fitting("yes");
            }
            return NO.contains(value) ? fitting("no") : misfit(text, "'" + text + "' is neither yes nor no");
        }

        private TypedValue year(String value) {
            int year = Integer.parseInt(value);
            return year < 1 || year > 9999
                    ? misfit(text, "'" + text + "' is not a year between 1 and 9999")
                    : fitting(Integer.toString(year));
        }

        private TypedValue momentAnywhere(String value) {
            OffsetDateTime moment = OffsetDateTime.parse(joined(value));
            return fitting(moment.format(MOMENT) + moment.getOffset().getId().replace("Z", "+00:00"));
        }

        private static String joined(String value) {
            return value.replaceFirst("(?<=\\d) +(?=\\d)", "T");
        }

        private TypedValue uuid(String value) {
            return value.length() == 36
                    ? fitting(UUID.fromString(value).toString())
                    : misfit(text, "'" + text + "' is not a uuid of 36 characters");
        }
    }
}
