#!/bin/sh
# How the house stands: prints what is counted of its source. Run it from anywhere.
cd "$(dirname "$0")/.." || exit 1
main() { find core store web bench -path '*/src/main/java/*' -name '*.java'; }
tests() { find core store web -path '*/src/test/java/*' -name '*.java'; }
pages() { find web/src/main/resources/templates -name '*.html'; }
named() { # files of main code that match outside their words
  for file in $(main); do sed 's/"[^"]*"//g' "$file" | grep -qE "$1" && echo "$file"; done | wc -l
}
lines() { cat $("$1") | grep -cv '^\s*$'; }
code=$(lines main)
test=$(lines tests)
echo "lines of main code, demo left out:      $code"
echo "lines of tests:                         $test ($((100 * test / (code + test))) % of both)"
echo "files that name an adjustment:          $(named '\bAdjustment\b|\bADJUSTMENT\b')"
echo "files that name a return in its kinds:  $(named 'CUSTOMER_RETURN|SUPPLIER_RETURN|\bReturn\b')"
echo "kinds told apart outside their folders: $(grep -lE '(==|!=) PaperKind\.' $(main) | grep -cvE 'papers/(back|charge|consign|count|make|mend|money|move|opening|order|stock|tax|trade)/|flow/Next|DraftReader|Followed')"
echo "kinds of paper named in SQL:            $(grep -hoE "'(BILL|INVOICE|RECEIPT|DELIVERY|ADJUSTMENT|COUNTER_SALE|CUSTOMER_RETURN|SUPPLIER_RETURN|SUPPLIER_CREDIT|PURCHASE_ORDER|SALES_ORDER|WRITE_DOWN|JOURNAL|CUSTOMER_PAYMENT|SUPPLIER_PAYMENT|OPENING_STOCK|START_TRACKING|RECOSTING)'" $(main) | wc -l)"
echo "templates that tell kinds by name:      $(grep -lE "(paper|form)\.kind\(\)\.name\(\) ==" $(pages) | wc -l)"
echo "template lines over 160 letters:        $(awk 'length > 160' $(pages) | wc -l)"
echo "longest classes:"
for file in $(main); do echo "$(wc -l < "$file") $file"; done | sort -rn | head -8
