package ableschema.core.difference;

import java.util.ArrayList;
import java.util.List;

/**
 * Which lines of a text go, come and stay, so that the most stay: the longest common subsequence (Wagner and Fischer 1974), in
 * time and room of the product of both lengths; where several are equally long, lines go before others come.
 *
 * @param kind whether the line is only in the first text, only in the second, or in both
 */
public record LineDifference(Kind kind, String line) {

    /** What happens to a line. */
    public enum Kind {
        GOES,
        COMES,
        STAYS
    }

    public static List<LineDifference> between(List<String> before, List<String> after) {
        int[][] common = new int[before.size() + 1][after.size() + 1];
        for (int i = before.size() - 1; i >= 0; i--) {
            for (int j = after.size() - 1; j >= 0; j--) {
                common[i][j] = before.get(i).equals(after.get(j))
                        ? common[i + 1][j + 1] + 1
                        : Math.max(common[i + 1][j], common[i][j + 1]);
            }
        }
        var lines = new ArrayList<LineDifference>();
        int i = 0;
        int j = 0;
        while (i < before.size() || j < after.size()) {
            if (i < before.size() && j < after.size() && before.get(i).equals(after.get(j))) {
                lines.add(new LineDifference(Kind.STAYS, before.get(i)));
                i++;
                j++;
            } else if (j == after.size() || i < before.size() && common[i + 1][j] >= common[i][j + 1]) {
                lines.add(new LineDifference(Kind.GOES, before.get(i)));
                i++;
            } else {
                lines.add(new LineDifference(Kind.COMES, after.get(j)));
                j++;
            }
        }
        return lines;
    }
}
