import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** Names each journey that needed a second try: a fault to be mended, not luck. bin/test prints these lines. */
export default class SecondTries implements Reporter {
  private readonly names = new Set<string>();

  onTestEnd(test: TestCase, result: TestResult): void {
    if (result.retry > 0) this.names.add(`${test.location.file.split('/').pop()}: ${test.title}`);
  }

  onEnd(): void {
    for (const name of this.names) process.stdout.write(`second try: ${name}\n`);
  }
}
