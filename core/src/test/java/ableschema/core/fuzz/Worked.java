package ableschema.core.fuzz;

import java.lang.management.ManagementFactory;

/** How long this thread has worked, in nanoseconds: a machine that stood still for a while made no reader slow. */
final class Worked {

    private Worked() {}

    static long nanos() {
        return ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
    }
}
