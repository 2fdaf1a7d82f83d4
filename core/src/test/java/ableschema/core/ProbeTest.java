package ableschema.core;

class ProbeTest {
    @org.junit.jupiter.api.Test
    void x() {}
}
