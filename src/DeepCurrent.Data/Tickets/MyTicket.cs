using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;

namespace DeepCurrent.Data.Tickets;

/// <summary>A ticket as its reader sees it in a list.</summary>
public sealed record MyTicket
{
    public required TicketId Id { get; init; }

    /// <summary>What a link from elsewhere leads to.</summary>
    public required AssignmentId AssignmentId { get; init; }

    /// <summary>The same for all that was given in one act.</summary>
    public required AssignmentId Act { get; init; }

    public required TaskKind Kind { get; init; }

    public required string Title { get; init; }

    public required string Blurb { get; init; }

    public required int Words { get; init; }

    public required int Pages { get; init; }

    public required int Page { get; init; }

    public required int Questions { get; init; }

    public required int Answered { get; init; }

    /// <summary>What it is about, where it is a text.</summary>
    public required TextId? TextId { get; init; }

    /// <summary>Time spent reading; what stood still is cut.</summary>
    public required double ActiveSeconds { get; init; }

    /// <summary>What the text's picture shows; null where it has none.</summary>
    public required string? Picture { get; init; }

    /// <summary>Words of the list, where there is one.</summary>
    public required int ToPractise { get; init; }

    public required TicketState State { get; init; }

    /// <summary>The reader's own, where they were given one.</summary>
    public required DateOnly? DueOn { get; init; }

    /// <summary>The last day on which it can be worked on; null where it goes on.</summary>
    public required DateOnly? ClosesOn { get; init; }

    public required Need Need { get; init; }

    public required WorkPlace Place { get; init; }

    /// <summary>The teacher reminded the reader, who has not opened it since.</summary>
    public required bool Reminded { get; init; }

    public required string Directions { get; init; }

    public required string HomeDirections { get; init; }

    /// <summary>The code of the language they are in; empty where there are none.</summary>
    public required string HomeLanguage { get; init; }

    public required Probability? Score { get; init; }

    public required DateTimeOffset? HandedInAt { get; init; }

    public required bool Chosen { get; init; }

    /// <summary>To be read aloud and recorded.</summary>
    public required bool Aloud { get; init; }

    /// <summary>The teacher's, under which it stands; empty for none.</summary>
    public required string Heading { get; init; }

    /// <summary>Of the teacher, who sent it back or gave it again; empty where it is the first round.</summary>
    public required string? Comment { get; init; }

    /// <summary>1 for the first.</summary>
    public required int Round { get; init; }
}

/// <summary>One ticket, ready to be worked on.</summary>
public sealed record OpenTicket
{
    public required TicketId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required TaskKind Kind { get; init; }

    public required TextId TextId { get; init; }

    /// <summary>Those of its quiz that are asked; null for all.</summary>
    public required QuestionId[]? Questions { get; init; }

    public required VersionId VersionId { get; init; }

    public required TicketState State { get; init; }

    public required int Attempts { get; init; }

    public required int Page { get; init; }

    public required Probability? Score { get; init; }

    public required string Directions { get; init; }

    public required string HomeDirections { get; init; }

    public required string HomeLanguage { get; init; }

    /// <summary>What is spoken at the reader's home, as the roster says it.</summary>
    public required string? SpokenAtHome { get; init; }

    public required ClassId ClassId { get; init; }

    public required YearId SchoolYearId { get; init; }

    public required Fathoms VersionDepth { get; init; }

    public required string VersionLabel { get; init; }

    public required bool OnTheWay { get; init; }

    public required bool Aloud { get; init; }

    /// <summary>Its reader may change the version within reach.</summary>
    public required bool MayChange { get; init; }

    /// <summary>Readers see one another's written answers when they have answered.</summary>
    public required bool Talk { get; init; }

    public required string SupportsKept { get; init; }

    public required string? OwnWay { get; init; }

    /// <summary>What is done for its reader here: everywhere, but for what was said otherwise for this
    /// assignment.</summary>
    public Supports Supports => OwnSupports.Of(SupportsKept, OwnWay);

    /// <summary>1 for the first; sent back or given again it begins another.</summary>
    public required int Round { get; init; }

    public required ResultsShown Results { get; init; }

    /// <summary>Handed in by its last day, not by its reader.</summary>
    public required bool Closed { get; init; }

    /// <summary>Its reader does not see yet how it goes.</summary>
    public bool Held => Results is ResultsShown.WhenReleased && State is not TicketState.Released;

    /// <summary>How often a question may be tried. Whoever does not see what is right tries once.</summary>
    public int Tries(Question q) => q.Written || Results is ResultsShown.WhenReleased ? 1 : Attempts;

    /// <summary>In this round; null for all that the task asks.</summary>
    public required QuestionId[]? Only { get; init; }

    /// <summary>What the class's teacher said of faulty questions, as it is kept.</summary>
    public required string CorrectionsKept { get; init; }

    /// <summary>Those of its text's questions that it asks, in any round, as they are scored now.</summary>
    public IReadOnlyList<Question> Asked(IEnumerable<Question> quiz) =>
        CorrectionStore.Apply(
            quiz.Where(q => Kind.Asks(q.OnTheWay, OnTheWay, Questions?.Contains(q.Id) ?? true)),
            CorrectionsKept
        );

    /// <summary>Whether a question that it asks is asked in this round.</summary>
    public bool Now(QuestionId question) => Only?.Contains(question) ?? true;

    /// <summary>The round whose answers to a question count by now: this one, or where it is not asked any more, the
    /// last in which it was.</summary>
    public IEnumerable<AnswerRow> Counted(IEnumerable<AnswerRow> answers) =>
        answers
            .GroupBy(a => a.QuestionId)
            .SelectMany(g =>
            {
                var last = g.Max(a => a.Round);
                return g.Where(a => a.Round == (Now(g.Key) ? Round : last));
            });
}

/// <param name="Correct">Null for a written answer that nobody has marked.</param>
/// <param name="Mark">Of a written answer; null where nobody has marked it.</param>
public sealed record AnswerRow(
    AnswerId Id,
    QuestionId QuestionId,
    int Attempt,
    Response Response,
    bool? Correct,
    DateTimeOffset At,
    int Milliseconds,
    bool TooFast,
    GivenMark? Mark,
    string Comment,
    DateTimeOffset ReceivedAt,
    int Round
)
{
    public bool Right => Correct ?? false;
}
