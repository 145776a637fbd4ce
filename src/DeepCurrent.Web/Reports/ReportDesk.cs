using DeepCurrent.Core.Access;
using DeepCurrent.Core.Reports;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Reports;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Reports;

/// <summary>What a report is asked to show.</summary>
/// <param name="Kind">What its days are; a month where nothing is said.</param>
/// <param name="From">The first day, where the span is any.</param>
/// <param name="To">The last day, or today.</param>
/// <param name="GroupId">One group's readers alone.</param>
/// <param name="Fiction">Stories alone, or facts alone; both where nothing is said.</param>
/// <param name="ReaderId">One reader alone.</param>
public sealed record ReportQuery(
    SpanKind? Kind,
    DateOnly? From,
    DateOnly? To,
    GroupId? GroupId,
    bool? Fiction,
    ReaderId? ReaderId
);

/// <summary>A report's readers and days.</summary>
/// <param name="Before">What it is held against; null where there was nothing before.</param>
public sealed record ReportRoom(
    IReadOnlyList<RosterRow> Readers,
    ReportSpan Span,
    ReportSpan? Before,
    SpansView Spans,
    bool? Fiction,
    SchoolClock Clock,
    DateOnly Today
)
{
    public ReportAsked Asked(ReportSpan span) =>
        new(
            [.. Readers.Select(r => r.Id)],
            Clock.Begin(span.From),
            Clock.End(span.To),
            span.From,
            span.To,
            Clock,
            Fiction
        );
}

/// <summary>Finds whose reading a report is about, and of which days.</summary>
public sealed class ReportDesk(Desk desk, ReaderStore readers, GroupStore groups, SchoolStore schools)
{
    public async Task<ReportRoom> Room(ClassId classId, ReportQuery asked)
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var moment = await desk.Moment();
        var year = await schools.Year(place.SchoolYearId);
        var days = ReportDays.Of(asked.Kind ?? SpanKind.Month, asked.From, asked.To, moment.Today, year);
        return new(
            await Readers(classId, asked, moment),
            days.Span,
            days.Before,
            days.View,
            asked.Fiction,
            await desk.Clock(),
            moment.Today
        );
    }

    private async Task<IReadOnlyList<RosterRow>> Readers(ClassId classId, ReportQuery asked, Moment moment)
    {
        var roster = await readers.Roster(classId, moment);
        if (asked.GroupId is { } group)
        {
            var those = (await groups.Every(classId)).FirstOrDefault(g => g.Id == group) ?? throw Refused.NotFound();
            roster = [.. roster.Where(r => those.ReaderIds.Contains(r.Id))];
        }
        return asked.ReaderId is not { } one ? roster
            : roster.Any(r => r.Id == one) ? [.. roster.Where(r => r.Id == one)]
            : throw Refused.NotFound();
    }
}
