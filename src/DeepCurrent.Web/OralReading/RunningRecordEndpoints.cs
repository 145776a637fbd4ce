using DeepCurrent.Core.Access;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.OralReading;

/// <summary>Taking running records, from speech or from a recording.</summary>
public static class RunningRecordEndpoints
{
    internal const long LargestSound = 20 << 20;
    internal const double ShortestSound = 1,
        LongestSound = 30 * 60;
    private const double LongestReading = 3600;
    private const int LongestNote = 1000,
        MostPauses = 1000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/readers/{readerId:guid}/records", All);
        api.MapPut("/readers/{readerId:guid}/records/{recordId:guid}", Begin);
        api.MapGet("/readers/{readerId:guid}/records/{recordId:guid}", View);
        api.MapPut("/readers/{readerId:guid}/records/{recordId:guid}/sheet", Keep);
        api.MapPost("/readers/{readerId:guid}/records/{recordId:guid}/discard", Discard);
        api.MapGet("/readers/{readerId:guid}/records/{recordId:guid}/record.pdf", Print)
            .Produces<byte[]>(contentType: "application/pdf");
    }

    private static async Task<OralView> All(ReaderId readerId, Desk desk, RecordDesk at, RunningRecordStore records)
    {
        var reader = await desk.Reader(readerId, Deed.SeeReader);
        var all = await records.Of(readerId);
        var rows = new List<RecordRow>();
        foreach (var k in all)
            rows.Add(
                new(
                    k.Id,
                    k.Title,
                    k.TextDepth,
                    k.Done,
                    k.ReadAt,
                    k.By,
                    await at.Figures(k, reader.Grade),
                    k.SoundSeconds is not null,
                    k.Listening
                )
            );
        var practice = PracticeWords.Of(all.Where(k => k.Done).Select(Practice));
        return new(
            reader.Grade,
            rows,
            [.. practice.Select(w => new PracticeRow(w.Word, w.Missed, w.Met, w.Corrected, w.LastMissed, w.Said))],
            desk.May(Deed.TakeRecords, reader)
        );
    }

    private static PracticeReading Practice(RunningRecord k)
    {
        var read = RecordSheet.Read(SpokenForms.Of(k.Body), k.Sheet.LastWord);
        return new(k.ReadAt, read, RecordSheet.Whole(k.Sheet.Marks, read));
    }

    private static async Task<RecordView> Begin(
        ReaderId readerId,
        RecordId recordId,
        BeginRequest request,
        Desk desk,
        RecordDesk at,
        RunningRecordStore records,
        TextStore texts
    )
    {
        var reader = await desk.Reader(readerId, Deed.TakeRecords);
        var text = await texts.Find(request.TextId, desk.Who.SchoolId, desk.Who.Adult)
            ?? throw Refused.Field("textId", $"Text not found.");
        var version = (await texts.Bodies(text.Id)).FirstOrDefault(v => v.Id == request.VersionId)
            ?? throw Refused.Field("versionId", $"Version not found.");
        var body = RecordSheet.Body(version.Pages);
        if (SpokenForms.Of(body).Count == 0)
            throw Refused.Field("versionId", $"This text has no words to read aloud.");
        if (
            !await records.Begin(
                new(
                    recordId,
                    readerId,
                    version.Id,
                    text.Id,
                    null,
                    desk.Who.Adult,
                    text.Title,
                    body,
                    version.Depth,
                    text.Fiction,
                    desk.Now
                )
            )
        )
            throw Refused.NotFound();
        return await at.View(reader, (await records.Find(recordId, readerId))!);
    }

    private static async Task<RecordView> View(ReaderId readerId, RecordId recordId, RecordDesk at)
    {
        var (reader, record) = await at.Find(readerId, recordId);
        return await at.View(reader, record);
    }

    private static async Task<RecordView> Keep(
        ReaderId readerId,
        RecordId recordId,
        KeepRequest r,
        Desk desk,
        RecordDesk at,
        RunningRecordStore records
    )
    {
        var (reader, record) = await at.Find(readerId, recordId);
        var sheet = Sheet(r, record);
        var questions = (await at.Questions(record)).Select(q => q.Id).ToHashSet();
        if (sheet.Answers.Any(a => !questions.Contains(a.QuestionId)))
            throw Refused.Field("answers", $"A question does not belong to this text.");
        var readAt = r.ReadAt is { } said
            ? said > desk.Now
                ? desk.Now
                : said < desk.Now.AddYears(-1)
                    ? throw Refused.Field("readAt", $"This was read more than a year ago.")
                    : said
            : record.ReadAt;
        var yardstick = await at.Yardstick();
        var evidence = r.Done ? await at.Evidence(record, sheet, readAt) : [];
        _ = await records.Keep(
            record,
            sheet,
            readAt,
            r.Revision,
            r.Done,
            desk.Who.Adult,
            evidence,
            yardstick.Year,
            yardstick.Chart,
            desk.Now
        )
            ?? throw Refused.Conflict(
                "stale",
                $"This record was changed elsewhere. Your marks are still here. Reload the page to see the other version."
            );
        return await at.View(await desk.Reader(reader.Id, Deed.TakeRecords), (await records.Find(recordId, readerId))!);
    }

    private static bool RetellingHolds(IReadOnlyDictionary<string, int> retelling, bool fiction) =>
        retelling.All(p => Retelling.Parts(fiction).Contains(p.Key) && p.Value is >= 0 and <= Retelling.MostPoints);

    private static SheetData Sheet(KeepRequest r, RunningRecord record)
    {
        var marks = (r.Marks ?? [])
            .Select(m => m.Read() ?? throw Refused.Field("marks", $"There is no such mark."))
            .ToList();
        var retelling = r.Retelling ?? new Dictionary<string, int>();
        new Faults()
            .Of("marks", RecordSheet.Fault(marks, SpokenForms.Of(record.Body).Count, r.LastWord))
            .If(!(r.Seconds is >= 0 and <= LongestReading), "seconds", $"Enter a time of an hour or less.")
            .If(r.Pauses is < 0 or > MostPauses, "pauses", $"The number of pauses is not valid.")
            .If(r.Note?.Length > LongestNote, "note", $"Use {LongestNote} letters or fewer.")
            .If(
                !RetellingHolds(retelling, record.Fiction),
                "retelling",
                $"A part of the retelling has 0, 1 or 2 points."
            )
            .Refuse();
        return new(
            marks,
            r.Seconds,
            r.LastWord,
            r.Pauses,
            retelling,
            [.. (r.Answers ?? []).DistinctBy(a => a.QuestionId).Select(a => new OralAnswer(a.QuestionId, a.Right))],
            r.Note?.Trim() ?? ""
        );
    }

    private static async Task<RecordView> Discard(
        ReaderId readerId,
        RecordId recordId,
        DiscardRequest request,
        Desk desk,
        RecordDesk at,
        RunningRecordStore records
    )
    {
        var (reader, record) = await at.Find(readerId, recordId);
        var yardstick = await at.Yardstick();
        await records.Discard(
            record,
            request.Gone,
            desk.Who.Adult,
            await at.Evidence(record, record.Sheet, record.ReadAt),
            yardstick.Year,
            yardstick.Chart,
            desk.Now
        );
        return await at.View(reader, (await records.Find(recordId, readerId))!);
    }

    private static async Task<IResult> Print(
        ReaderId readerId,
        RecordId recordId,
        string? paper,
        Desk desk,
        RecordDesk at
    )
    {
        var (reader, k) = await at.Find(readerId, recordId, Deed.SeeReader);
        var v = await at.View(reader, k);
        using var body = new MemoryStream();
        RunningRecordPrint.Write(
            body,
            string.Equals(paper, "letter", StringComparison.OrdinalIgnoreCase) ? PaperSize.Letter : PaperSize.A4,
            Printed(v, k, (await desk.School()).Name)
        );
        return Results.File(body.ToArray(), "application/pdf", "running record.pdf");
    }

    private static PrintedRecord Printed(RecordView v, RunningRecord k, string school)
    {
        var answers = k.Sheet.Answers.ToDictionary(a => a.QuestionId, a => a.Right);
        return new()
        {
            School = school,
            Reader = $"{v.GivenName} {v.FamilyName}".Trim(),
            Title = k.Title,
            Depth = k.TextDepth.Value,
            ReadAt = k.ReadAt,
            By = k.By ?? "",
            Body = k.Body,
            Passage = SpokenForms.Of(k.Body),
            Marks = k.Sheet.Marks,
            LastWord = k.Sheet.LastWord,
            Seconds = k.Sheet.Seconds,
            Figures = RecordSheet.Figures(
                k.Sheet.Marks,
                SpokenForms.Of(k.Body),
                k.Sheet.LastWord,
                k.Sheet.Seconds,
                k.Sheet.Pauses
            ),
            Zone = v.Figures.Zone.Name(),
            Norm = v.Figures.Percentile is { } p
                ? (Message)$"percentile {p} of the grade, {v.Figures.Season.Name()}"
                : null,
            Totals = RecordSheet.Totals(k.Sheet.Marks),
            Retelling = v
                .Parts.Where(k.Sheet.Retelling.ContainsKey)
                .Select(x => (x.Replace('-', ' '), k.Sheet.Retelling[x]))
                .ToList(),
            Questions = v.Questions.Where(q => answers.ContainsKey(q.Id)).Select(q => (q.Stem, answers[q.Id])).ToList(),
            Note = k.Sheet.Note,
        };
    }
}
