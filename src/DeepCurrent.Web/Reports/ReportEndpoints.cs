using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Reports;
using DeepCurrent.Data.Reports;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Reports;

/// <summary>A class over a span of days.</summary>
public static class ReportEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        var reports = api.MapGroup("/classes/{classId:guid}/reports");
        reports.MapGet("/days", Days);
        reports.MapGet("/readers", Readers);
        reports.MapGet("/questions", Questions);
        reports.MapGet("/texts", Texts);
        reports.MapGet("/log", Log);
        reports.MapGet("/answers", Answers);
        reports.MapGet("/over-time", OverTime);
    }

    /// <summary>Which days a report is of, for whatever stands beside it.</summary>
    private static async Task<SpansView> Days(ClassId classId, [AsParameters] ReportQuery asked, ReportDesk at) =>
        (await at.Room(classId, asked)).Spans;

    private static async Task<ReportView> Readers(
        ClassId classId,
        [AsParameters] ReportQuery asked,
        Desk desk,
        ReportDesk at,
        ReportStore reports
    )
    {
        var room = await at.Room(classId, asked);
        var school = await desk.School();
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);
        var now = room.Asked(room.Span);
        // The span before takes as long as this one: both are asked at once.
        var earlier = room.Before is { } before ? reports.Sums(room.Asked(before)) : null;
        var sums = await reports.Sums(now);
        var depths = (await reports.Depths(now)).ToLookup(d => d.ReaderId, d => d.Depth);
        var first = (await reports.Levels(now.ReaderIds, room.Span.From.AddDays(-1))).ToDictionary(l => l.ReaderId);
        var last =
            room.Span.To >= room.Today
                ? room.Readers.ToDictionary(r => r.Id, r => new LevelOn(r.Id, r.Depth, r.Sd))
                : (await reports.Levels(now.ReaderIds, room.Span.To)).ToDictionary(l => l.ReaderId);
        var rows = new List<ReportRowView>();
        foreach (var r in room.Readers)
        {
            var level = last.GetValueOrDefault(r.Id) ?? new(r.Id, r.Depth, r.Sd);
            double? change = first.TryGetValue(r.Id, out var was) ? level.Mean - was.Mean : null;
            rows.Add(
                new(
                    r.Id,
                    SumsView.Of(sums.GetValueOrDefault(r.Id) ?? ReportSums.Nothing),
                    [.. depths[r.Id]],
                    level.Mean,
                    level.Sd,
                    Forecast.Reach(level.Mean, cuts),
                    change
                )
            );
        }
        return new(
            room.Spans,
            rows,
            SumsView.Of(ReportSums.Of(sums.Values)),
            earlier is null ? null : SumsView.Of(ReportSums.Of((await earlier).Values)),
            MeanRange.Of([.. rows.Select(r => r.Change).OfType<double>()])
        );
    }

    private static async Task<QuestionsView> Questions(
        ClassId classId,
        [AsParameters] ReportQuery asked,
        ReportDesk at,
        ReportStore reports
    )
    {
        var room = await at.Room(classId, asked);
        return new(room.Spans, await reports.Questions(room.Asked(room.Span)));
    }

    private static async Task<TextsView> Texts(
        ClassId classId,
        [AsParameters] ReportQuery asked,
        ReportDesk at,
        ReportStore reports
    )
    {
        var room = await at.Room(classId, asked);
        return new(room.Spans, await reports.Texts(room.Asked(room.Span)));
    }

    private static async Task<LogView> Log(
        ClassId classId,
        [AsParameters] ReportQuery asked,
        ReportDesk at,
        LogStore log
    )
    {
        var room = await at.Room(classId, asked);
        var rows = await log.Of(room.Asked(room.Span));
        return new(room.Spans, [.. rows.Select(r => new LogLine(r, r.Marks))], rows.Count == LogStore.Most);
    }

    /// <summary>First tries one by one, of what a figure of strands or questions is made.</summary>
    private static async Task<AnswersView> Answers(
        ClassId classId,
        [AsParameters] ReportQuery asked,
        Strand? strand,
        QuestionId? questionId,
        ReportDesk at,
        TriesStore tries
    )
    {
        var room = await at.Room(classId, asked);
        var rows = await tries.Of(room.Asked(room.Span), new(strand, questionId));
        return new(room.Spans, rows, rows.Count == TriesStore.Most);
    }

    private static async Task<OverTimeView> OverTime(
        ClassId classId,
        [AsParameters] ReportQuery asked,
        ReportDesk at,
        TriesStore tries
    )
    {
        var room = await at.Room(classId, asked);
        return new(
            room.Spans,
            await tries.ByDay(room.Asked(room.Span)),
            room.Before is { } before ? await tries.ByDay(room.Asked(before)) : []
        );
    }
}
