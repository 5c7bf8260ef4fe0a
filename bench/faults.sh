#!/bin/bash
# Plants fifteen faults in core, one after the other, in a copy, and says which core's tests notice.
# Run it from anywhere; it takes some ten minutes.
set -u
cd "$(dirname "$0")/.." || exit 1
COPY=$(mktemp -d); trap 'rm -rf "$COPY"' EXIT
cp -r pom.xml core "$COPY"; cd "$COPY" || exit 1
for module in store demo web bench; do sed -i "/<module>$module</d" pom.xml; done
P=core/src/main/java/zinctally/core
noticed=0; all=0
plant() { # words file from to
  all=$((all + 1)); cp "$P/$2" original
  perl -0pi -e "s/\Q$3\E/$4/ or exit 3" "$P/$2" || { echo "cannot be planted any more: $1"; exit 1; }
  if mvn -o -q -B -pl core test -Dspotless.check.skip > fault.log 2>&1; then echo "survives  $1"
  elif grep -q 'COMPILATION ERROR' fault.log; then echo "does not compile: $1"; exit 1
  else noticed=$((noticed + 1)); echo "noticed   $1"; fi
  cp original "$P/$2"
}
mvn -q -B -pl core test -Dspotless.check.skip > fault.log 2>&1 || { echo "the tests fail without any fault"; exit 1; }
plant "a limit reached is a limit passed" papers/read/PartyQuestions.java 'owed -> owed > limit' 'owed -> owed >= limit'
plant "a small rest is 50, not 5" papers/money/PaymentReader.java 'BigDecimal.valueOf(5)' 'BigDecimal.valueOf(50)'
plant "the tax of a return has the other sign" papers/back/Return.java 'new Money(-sign * sum), rate.code()' 'new Money(sign * sum), rate.code()'
plant "no tax on a charge" papers/charge/Charge.java 'new Money(tax),' 'new Money(0),'
plant "a run of numbers ends one too late" papers/read/NumbersTyped.java 'i < wanted; i++' 'i <= wanted; i++'
plant "due before its date" papers/read/Reader.java 'due != null && due.isBefore(date)' 'false'
plant "all of it cannot come off the whole" papers/read/OffTheWhole.java 'read.compareTo(most) > 0' 'read.compareTo(most) >= 0'
plant "one more can go back than came" papers/back/PartsReader.java 'micros > free)' 'micros > free + 1_000_000)'
plant "the last of a lot cannot leave" papers/read/NumbersReader.java 'left(kept, place) < entry.micros()' 'left(kept, place) <= entry.micros()'
plant "a closed period moves" cost/PostingDate.java 'later.isAfter(firstOpenDay) ? later : firstOpenDay' 'later'
plant "tax is never rounded on sums" papers/read/LineAmounts.java 'if (onSums) onSums' 'if (false) onSums'
plant "an order waits for no approval" papers/flow/NamedPapers.java 'if (order && !first.order().open())' 'if (false)'
plant "money is rounded down" number/Coin.java 'digits, RoundingMode.HALF_UP).unscaledValue()' 'digits, RoundingMode.DOWN).unscaledValue()'
plant "what is promised is given away" papers/read/RowReader.java 'if (taken <= free) return;' 'if (taken <= promised.here()) return;'
plant "an account that is off takes money" papers/money/PaymentReader.java '|| !account.get().active()' ''
echo "$noticed of $all noticed"
