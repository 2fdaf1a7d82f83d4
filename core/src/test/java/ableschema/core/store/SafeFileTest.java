package ableschema.core.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SafeFileTest {

    private static final String OLD = "old ".repeat(50_000);
    private static final String NEW = "brand new ".repeat(30_000);

    @TempDir
    private Path folder;

    @Test
    void whoever_reads_meanwhile_sees_the_whole_old_file_or_the_whole_new_one() throws Exception {
        Path file = folder.resolve("design.able.json");
        SafeFile.write(file, OLD);
        var writing = new AtomicBoolean(true);
        CompletableFuture<Set<String>> reader = CompletableFuture.supplyAsync(() -> {
            var seen = new HashSet<String>();
            while (writing.get()) {
                seen.add(read(file));
            }
            return seen;
        });
        for (int i = 0; i < 100; i++) {
            SafeFile.write(file, i % 2 == 0 ? NEW : OLD);
        }
        writing.set(false);

        assertThat(reader.get(30, TimeUnit.SECONDS)).isNotEmpty().isSubsetOf(OLD, NEW);
        assertThat(file).hasContent(OLD);
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            return "unreadable: " + e;
        }
    }

    @Test
    void nothing_is_left_beside_the_file() throws Exception {
        SafeFile.write(folder.resolve("a.sql"), "one");
        SafeFile.write(folder.resolve("a.sql"), "two".getBytes(StandardCharsets.UTF_8));

        try (var files = Files.list(folder)) {
            assertThat(files).containsExactly(folder.resolve("a.sql"));
        }
        assertThat(folder.resolve("a.sql")).hasContent("two");
    }

    @Test
    void what_a_broken_off_write_left_is_no_hindrance() throws Exception {
        Path file = folder.resolve("a.sql");
        Files.writeString(folder.resolve(".a.sql.new"), "half of someth");
        SafeFile.write(file, "whole");

        assertThat(file).hasContent("whole");
        assertThat(folder.resolve(".a.sql.new")).doesNotExist();
    }

    @Test
    void a_file_in_the_place_of_a_folder_is_refused() throws Exception {
        Path file = Files.writeString(folder.resolve("file"), "mine");

        assertThatThrownBy(() -> SafeFile.write(file.resolve("a.sql"), "text"))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining("cannot write");
        assertThat(file).hasContent("mine");
    }
}
