using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.OralReading;

/// <summary>Finds running records for the one who asks, shows them, and turns them into evidence.</summary>
public sealed class RecordDesk(
    Desk desk,
    RunningRecordStore records,
    RosterDesk roster,
    TextStore texts,
    IListener listener
)
{
    private Yardstick? yardstick;

    public async Task<Yardstick> Yardstick() => yardstick ??= await roster.Yardstick();

    public async Task<(ReaderHead Reader, RunningRecord Record)> Find(
        ReaderId readerId,
        RecordId recordId,
        Deed deed = Deed.TakeRecords
    )
    {
        var reader = await desk.Reader(readerId, deed);
        return (reader, await records.Find(recordId, readerId) ?? throw Refused.NotFound());
    }

    public async Task<Season> SeasonOf(DateTimeOffset at)
    {
        var year = (await Yardstick()).Year;
        return OralNorms.SeasonOf((await desk.Clock()).DayOf(at), year.FirstDay, year.LastDay);
    }

    public async Task<FiguresOfRecord> Figures(RunningRecord k, int grade, SheetData? sheet = null)
    {
        var s = sheet ?? k.Sheet;
        return FiguresOfRecord.Of(
            RecordSheet.Figures(s.Marks, SpokenForms.Of(k.Body), s.LastWord, s.Seconds, s.Pauses),
            s,
            grade,
            await SeasonOf(k.ReadAt)
        );
    }

    public async Task<RecordView> View(ReaderHead reader, RunningRecord k)
    {
        var passage = SpokenForms.Of(k.Body);
        var names = RunningRecords.ProperNouns(passage);
        var now =
            k.TextId is { } id && await texts.Find(id, desk.Who.SchoolId, desk.Who.Adult) is not null
                ? (await texts.Bodies(id)).FirstOrDefault(v => v.Id == k.VersionId)
                : null;
        return new()
        {
            Id = k.Id,
            ReaderId = k.ReaderId,
            GivenName = reader.GivenName,
            FamilyName = reader.FamilyName,
            Title = k.Title,
            TextId = now is null ? null : k.TextId,
            TextDepth = k.TextDepth,
            Forecast = Forecast.Comprehension(reader.Depth, k.TextDepth),
            Done = k.Done,
            Gone = k.Gone,
            ReadAt = k.ReadAt,
            By = k.By,
            Revision = k.Revision,
            Body = k.Body,
            Words = [.. passage.Select(w => new WordOfRecord(w.Start, w.Shown.Length, names.Contains(w.Key)))],
            Sheet = SheetView.Of(k.Sheet),
            Figures = await Figures(k, reader.Grade),
            Sources = RecordSheet.Totals(k.Sheet.Marks),
            Parts = Retelling.Parts(k.Fiction),
            Questions = [.. (await Questions(k)).Select(q => new QuestionOfRecord(q.Id, q.Strand, q.Stem, Answers(q)))],
            TextChanged = now is not null && RecordSheet.Body(now.Pages) != k.Body,
            SoundSeconds = k.SoundSeconds,
            Listening = k.Listening,
            ListenNote = k.ListenNote,
            MayListen = k.SoundSeconds is not null && listener.Ready,
            Draft = await Draft(reader, k),
        };
    }

    private async Task<DraftOfRecord?> Draft(ReaderHead reader, RunningRecord k)
    {
        if (k.Heard is null)
            return null;
        var draft = RecordSheet.Draft(ReadingAligner.Align(k.Body, k.Heard), k.Heard);
        var figures = await Figures(
            k,
            reader.Grade,
            SheetData.Blank with
            {
                Marks = draft.Marks,
                LastWord = draft.LastWord,
                Seconds = draft.Seconds,
                Pauses = draft.Pauses,
            }
        );
        return new(
            [.. draft.Marks.Select(MarkOfRecord.Of)],
            draft.LastWord,
            draft.Seconds,
            draft.Pauses,
            new(draft.Sure),
            figures,
            [.. draft.Times.Select(t => t is { } time ? new[] { time.Start, time.End } : null)]
        );
    }

    /// <summary>Questions that can be asked aloud.</summary>
    public async Task<IReadOnlyList<Question>> Questions(RunningRecord k) =>
        k.TextId is { } id ? [.. (await texts.Questions(id)).Where(q => !q.OnTheWay && q.Rules.Spoken)] : [];

    private static IReadOnlyList<string> Answers(Question q) =>
        q.Written ? q.Rubric?.Samples.Take(1).ToList() ?? [] : [.. q.Choices.Where(c => c.Right).Select(c => c.Text)];

    public async Task<IReadOnlyList<EvidenceRow>> Evidence(RunningRecord k, SheetData sheet, DateTimeOffset readAt) =>
        RecordEvidence.Of(k, sheet, readAt, await Questions(k));
}
