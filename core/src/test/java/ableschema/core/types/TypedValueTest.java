package ableschema.core.types;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TypedValueTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            whole           | 042                       | 42
            whole           | -7                        | -7
            whole 10        | 10                        | 10
            decimal 6,2     | 4.2                       | 4.20
            decimal 6,2     | 1e3                       | 1000.00
            decimal 3,1     | -12.5                     | -12.5
            real            | 0.5                       | 0.5
            yes/no          | TRUE                      | yes
            yes/no          | n                         | no
            year            | 2027                      | 2027
            date            | 2027-02-28                | 2027-02-28
            time            | 09:30                     | 09:30:00
            moment          | 2027-04-12 09:30          | 2027-04-12 09:30:00
            moment          | 2027-04-12T09:30:15       | 2027-04-12 09:30:15
            moment anywhere | 2027-04-12 09:30+02:00    | 2027-04-12 09:30:00+02:00
            moment anywhere | 2027-04-12T09:30Z         | 2027-04-12 09:30:00+00:00
            uuid            | 5F2C1F6E-8A34-4C52-9D57-0B6B1A2C3D4E | 5f2c1f6e-8a34-4c52-9d57-0b6b1a2c3d4e
            text 4          | 🐝🐝🐝🐝                    | 🐝🐝🐝🐝
            undecided       | anything                  | anything
            """)
    void a_value_that_fits_has_one_form(String type, String text, String canonical) {
        TypedValue value = TypedValue.of(DataTypes.parse(type), text);

        assertThat(value.problem()).isEmpty();
        assertThat(value.canonical()).isEqualTo(canonical);
        assertThat(TypedValue.of(DataTypes.parse(type), canonical).canonical()).isEqualTo(canonical);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            whole           | 4.2                 | is not a whole number
            whole           | 3000000000          | is beyond 2147483647
            whole 10        | -32769              | is beyond -32768
            whole 40000     | 2147483648          | is beyond 2147483647
            decimal 6,2     | 4.255               | has 3 decimal places, more than 2
            decimal 3,1     | 100                 | is too large for decimal 3,1
            decimal 3,1     | many                | is not a number
            real            | NaN                 | is not a number
            real            | 5d                  | is not a number
            yes/no          | perhaps             | is neither yes nor no
            year            | 12027               | is not a year
            date            | 2027-02-29          | is not a date such as
            date            | 12.04.2027          | is not a date such as
            time            | 25:00               | is not a time such as
            moment          | 2027-04-12          | is not a moment such as
            moment anywhere | 2027-04-12 09:30    | is not a moment with its zone
            uuid            | 1-2-3-4-5           | is not a uuid
            text 3          | four                | has 4 characters, more than 3
            """)
    void a_value_that_does_not_fit_says_why(String type, String text, String reason) {
        TypedValue value = TypedValue.of(DataTypes.parse(type), text);

        assertThat(value.fits()).isFalse();
        assertThat(value.problem().orElseThrow()).contains(reason);
        assertThat(value.canonical()).isEqualTo(text);
    }
}
