using CsCheck;
using DeepCurrent.Core;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Reports;
using DeepCurrent.Core.Schools;
using Shouldly;

namespace Core.Tests;

/// <summary>The days of a report, and what is summed over them.</summary>
public sealed class ReportTests
{
    private static readonly YearId Year = YearId.New();

    private static readonly YearCalendar Calendar = new(
        Year,
        "2026/27",
        Day(9, 1),
        new(2027, 7, 2),
        [
            new(TermId.New(), Year, "Autumn", Day(9, 1), Day(12, 18)),
            new(TermId.New(), Year, "Spring", new(2027, 1, 5), new(2027, 3, 26)),
        ],
        [Day(11, 13)],
        new("Europe/London")
    );

    private static DateOnly Day(int month, int day) => new(2026, month, day);

    private static ReportSpan Span(DateOnly from, DateOnly to) => new(from, to);

    [Fact]
    public void A_span_reaches_from_its_first_day_to_the_day_that_is_asked() // Friday 27 November
    {
        var friday = Day(11, 27);
        ReportSpan.UpTo(friday, SpanKind.Day, Calendar).ShouldBe(Span(friday, friday));
        ReportSpan.UpTo(friday, SpanKind.Week, Calendar).ShouldBe(Span(Day(11, 23), friday));
        ReportSpan.UpTo(friday, SpanKind.Month, Calendar).ShouldBe(Span(Day(11, 1), friday));
        ReportSpan.UpTo(friday, SpanKind.Term, Calendar).ShouldBe(Span(Day(9, 1), friday));
        // In the holidays the term that is over is shown whole.
        ReportSpan.UpTo(Day(12, 24), SpanKind.Term, Calendar).ShouldBe(Span(Day(9, 1), Day(12, 18)));
        Should.Throw<ArgumentException>(() => Span(friday, Day(11, 26)));
    }

    [Fact]
    public void It_is_held_against_as_much_of_the_span_before()
    {
        Span(Day(11, 16), Day(11, 16)).Before(SpanKind.Day, Calendar).ShouldBe(Span(Day(11, 12), Day(11, 12)));
        Span(Day(9, 1), Day(9, 1)).Before(SpanKind.Day, Calendar).ShouldBeNull();
        Span(Day(11, 23), Day(11, 25)).Before(SpanKind.Week, Calendar).ShouldBe(Span(Day(11, 16), Day(11, 18)));
        Span(Day(11, 1), Day(11, 26)).Before(SpanKind.Month, Calendar).ShouldBe(Span(Day(10, 1), Day(10, 26)));
        Span(Day(11, 1), Day(11, 30)).Before(SpanKind.Month, Calendar).ShouldBe(Span(Day(10, 1), Day(10, 31)));
        Span(new(2027, 3, 1), new(2027, 3, 30))
            .Before(SpanKind.Month, Calendar)
            .ShouldBe(Span(new(2027, 2, 1), new(2027, 2, 28)));
        Span(new(2027, 1, 5), new(2027, 1, 9)).Before(SpanKind.Term, Calendar).ShouldBe(Span(Day(9, 1), Day(9, 5)));
        Span(Day(9, 1), Day(11, 27)).Before(SpanKind.Term, Calendar).ShouldBeNull();
        Span(Day(11, 10), Day(11, 12)).Before(SpanKind.Any, Calendar).ShouldBe(Span(Day(11, 7), Day(11, 9)));
    }

    [Fact]
    public void Back_and_forth_leads_to_whole_spans_and_no_further_than_today()
    {
        var today = Day(11, 27);
        Span(Day(11, 1), today).Earlier(SpanKind.Month, Calendar).ShouldBe(Span(Day(10, 1), Day(10, 31)));
        Span(Day(10, 1), Day(10, 31)).Later(SpanKind.Month, Calendar, today).ShouldBe(Span(Day(11, 1), today));
        Span(Day(11, 1), today).Later(SpanKind.Month, Calendar, today).ShouldBeNull();
        Span(Day(11, 16), Day(11, 22)).Later(SpanKind.Week, Calendar, today).ShouldBe(Span(Day(11, 23), today));
        Span(Day(11, 12), Day(11, 12)).Later(SpanKind.Day, Calendar, today).ShouldBe(Span(Day(11, 16), Day(11, 16)));
        Span(Day(9, 1), today).Earlier(SpanKind.Term, Calendar).ShouldBeNull();
        Span(Day(9, 1), today).Later(SpanKind.Term, Calendar, today).ShouldBeNull();
        Span(Day(9, 1), Day(12, 18))
            .Later(SpanKind.Term, Calendar, new(2027, 2, 1))
            .ShouldBe(Span(new(2027, 1, 5), new(2027, 2, 1)));
    }

    [Fact]
    public void Whatever_the_span_what_it_is_held_against_ends_before_it_begins() =>
        (
            from start in Gen.Int[0, 300]
            from days in Gen.Int[0, 60]
            from kind in Gen.Enum<SpanKind>()
            select (Span(Day(9, 1).AddDays(start), Day(9, 1).AddDays(start + days)), kind)
        ).Sample(x =>
        {
            var (span, kind) = x;
            if (kind is SpanKind.Day or SpanKind.Week or SpanKind.Month)
                span = ReportSpan.UpTo(span.To, kind, Calendar);
            if (span.Before(kind, Calendar) is { } before)
            {
                before.To.ShouldBeLessThan(span.From);
                (kind is SpanKind.Month || before.Days <= span.Days).ShouldBeTrue();
            }
            if (span.Earlier(kind, Calendar) is { } earlier)
                earlier.To.ShouldBeLessThan(span.From);
        });

    private static ReportSums Sums(params StrandTries[] strands) => ReportSums.Nothing with { Strands = strands };

    [Fact]
    public void The_weakest_strand_is_named_where_it_stands_out_and_enough_was_asked()
    {
        Sums(new(Strand.Retrieve, 9, 1, 0), new(Strand.Infer, 4, 3, 3)).Weakest!.Strand.ShouldBe(Strand.Infer);
        Sums(new(Strand.Retrieve, 9, 1, 0), new(Strand.Infer, 0, 1, 1)).Weakest.ShouldBeNull();
        Sums(new(Strand.Retrieve, 8, 1, 1), new(Strand.Infer, 9, 1, 2)).Weakest.ShouldBeNull();
        Sums(new StrandTries(Strand.Infer, 1, 1, 3)).Weakest.ShouldBeNull();
        ReportSums.Nothing.FirstTry.ShouldBeNull();
    }

    [Fact]
    public void A_sum_is_the_sum_of_all_whatever_their_order()
    {
        var one = new ReportSums(2, 1, 300, 120, 2, 1, 20, [new(Strand.Infer, 2, 1, 0)]);
        var other = new ReportSums(1, 0, 150, 60, 1, 0, 0, [new(Strand.Retrieve, 3, 0, 0), new(Strand.Infer, 0, 0, 2)]);
        var sum = ReportSums.Of([other, one]);
        (sum.Readings, sum.Openings, sum.Words, sum.Seconds, sum.Quizzes).ShouldBe((3, 1, 450, 180.0, 3));
        (sum.AtOnce, sum.Later, sum.NotYet).ShouldBe((5, 1, 2));
        sum.Strands.ShouldBe([new(Strand.Retrieve, 3, 0, 0), new(Strand.Infer, 2, 1, 2)]);
        sum.FirstTry!.Value.Value.ShouldBe(5 / 8.0);
    }

    [Fact]
    public void How_levels_moved_has_a_range_from_two_readers_on()
    {
        MeanRange.Of([1.2]).ShouldBeNull();
        var two = MeanRange.Of([1.0, 3.0])!;
        (two.Mean, two.Readers).ShouldBe((2.0, 2));
        two.Half.ShouldBe(1.645, 0.001);
    }
}
