#!/usr/bin/perl
# Works the seals of a book out again from its tables alone, by docs/seals.md.
# seals.pl HOST PORT USER SCHEMA, the password in MYSQL_PWD.
use strict;
use warnings;
use Digest::SHA qw(sha256);

my ($host, $port, $user, $schema) = @ARGV;

# The client writes rows as the canonical form has them: tabs between, \\ \t \n in fields, NULL.
sub rows {
  my ($select) = @_;
  open(my $out, '-|', 'mariadb', '-h', $host, '-P', $port, '-u', $user, '--batch',
    '--skip-column-names', '--default-character-set=utf8mb4', '--quick', '-e', $select, $schema)
    or die "no client: $!";
  my @rows = map { chomp; $_ } <$out>;
  close($out) or die "the client failed";
  return @rows;
}

my (%figures, %words);
sub take {
  my ($into, $kind, $record, $select, $change) = @_;
  for my $row (rows($select)) {
    $change->() for $change ? $row : ();
    my ($id, $fields) = split(/\t/, $row, 2);
    $into->{"$kind $id"} .= "$record\t$fields\n";
  }
}

my $posting = 'posting t join paper p on p.id = t.paper_id';
my $lines = "posting t join paper_line l on l.paper_id = t.paper_id and l.version = t.version where t.what <> 'voided'";
take(\%figures, 'posting', 'posting', "select t.id, t.id, p.kind, p.number, t.version, t.what, t.at, t.login from $posting order by t.id");
take(\%figures, 'posting', 'line', "select t.id, l.line, l.item_id, l.account_id, l.quantity, l.unit, l.price, l.discount, l.net, l.tax, l.tax_rate_id from $lines order by t.id, l.line");
take(\%figures, 'posting', 'journal', 'select posting_id, id, date, paper_id, version, reverses, till_id, entered_at from journal order by posting_id, id');
take(\%figures, 'posting', 'entry', 'select j.posting_id, l.journal_id, l.line, l.account_id, l.date, l.item_id, l.amount, l.worked, l.centre_id from journal j join journal_line l on l.journal_id = j.id order by j.posting_id, l.journal_id, l.line', sub { s/\t0$// });
take(\%figures, 'posting', 'cost', 'select posting_id, id, item_id, event_id, posting_date, quantity, value, account_id, cause_id, journal_id, entered_at from cost_entry order by posting_id, id');
take(\%figures, 'posting', 'move', 'select posting_id, id, item_id, date, quantity, paper_id, line, part, lot_id from quantity_move order by posting_id, id');
take(\%words, 'posting', 'text', "select t.id, v.posted_at, v.posted_by, v.what, v.text from posting t join paper_version v on v.paper_id = t.paper_id and v.version = t.version where t.what <> 'voided' order by t.id");
take(\%words, 'posting', 'wording', "select t.id, l.line, l.place_id, l.wording from $lines order by t.id, l.line");
take(\%words, 'posting', 'memo', 'select j.posting_id, l.journal_id, l.line, l.memo from journal j join journal_line l on l.journal_id = j.id order by j.posting_id, l.journal_id, l.line');
take(\%words, 'posting', 'where', 'select posting_id, id, place_id from quantity_move order by posting_id, id');
take(\%figures, 'audit', 'audit', 'select id, id, at, login, subject, subject_id, what from audit order by id');
take(\%words, 'audit', 'texts', 'select id, before_text, after_text from audit order by id');
take(\%figures, 'change', 'change', 'select id, id, kind, of_id, lower(hex(was)), lower(hex(becomes)), at, login, why from seal_change order by id');

my $wrong = 0;
my %leaves;
my %changed = map { my ($key, $was, $becomes) = split(/\t/); ("$key $was" => $becomes) }
  rows("select concat(kind, ' ', of_id), lower(hex(was)), lower(hex(becomes)) from seal_change order by id");
for my $row (rows('select seal_no, kind, of_id, lower(hex(figures)), lower(hex(words)) from seal_leaf order by seal_no, place')) {
  my ($seal, $kind, $id, $figures, $words) = split(/\t/, $row);
  push @{$leaves{$seal}}, sha256("\0" . pack('H*', $figures) . pack('H*', $words));
  my $now = $words;
  while (defined(my $next = $changed{"$kind $id $now"})) { $now = $next }
  my $is_figures = unpack('H*', sha256($figures{"$kind $id"} // ''));
  my $is_words = unpack('H*', sha256($words{"$kind $id"} // ''));
  next if $is_figures eq $figures && $is_words eq $now;
  print "$kind $id differs from seal $seal\n";
  $wrong++;
}

my $before = '0' x 64;
for my $row (rows('select no, at, leaves, lower(hex(root)), lower(hex(before_hash)), lower(hex(hash)) from seal order by no')) {
  my ($no, $at, $count, $root, $follows, $hash) = split(/\t/, $row);
  my @level = @{$leaves{$no} // []};
  my $good = @level == $count;
  while (@level > 1) {
    my @above;
    while (@level) {
      my ($left, $right) = splice(@level, 0, 2);
      push @above, defined $right ? sha256("\1$left$right") : $left;
    }
    @level = @above;
  }
  $good &&= unpack('H*', $level[0]) eq $root && $follows eq $before;
  $good &&= unpack('H*', sha256("seal\t$no\t$at\t$count\t$root\t$follows\n")) eq $hash;
  unless ($good) { print "seal $no differs\n"; $wrong++ }
  $before = $hash;
}
print $wrong ? "$wrong things differ\n" : "seals hold, the last is $before\n";
exit($wrong ? 1 : 0);
