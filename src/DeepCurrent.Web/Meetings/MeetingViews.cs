using DeepCurrent.Core.Meetings;
using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Meetings;

namespace DeepCurrent.Web.Meetings;

/// <summary>A point to teach, with who needs it.</summary>
public sealed record PointView(PointKind Kind, Strand? Strand, IReadOnlyList<ReaderId> Readers, Message Why)
{
    public static PointView Of(TeachingPoint p) => new(p.Kind, p.Strand, p.Readers, p.Why);
}

/// <param name="Need">How much it needs its teacher: readers who need a point, all points together.</param>
/// <param name="Points">Best first.</param>
/// <param name="Leader">Who meets it; null where nobody is named.</param>
public sealed record MeetingGroupView(
    GroupId GroupId,
    string Name,
    IReadOnlyList<ReaderId> ReaderIds,
    double Need,
    IReadOnlyList<PointView> Points,
    string? Leader
);

/// <summary>A week of meetings.</summary>
/// <param name="Days">Its school days.</param>
public sealed record MeetingWeekView(
    DateOnly Monday,
    IReadOnlyList<DateOnly> Days,
    IReadOnlyList<MeetingGroupView> Groups,
    IReadOnlyList<MeetingRow> Meetings
);

public sealed record MeetingsRequest(IReadOnlyList<MeetingPlanned> Meetings);

/// <param name="Monday">Of the week.</param>
/// <param name="Wanted">Meetings in all, with those that are planned already.</param>
/// <param name="ADay">Most on one day.</param>
/// <param name="Shut">Days without meetings.</param>
public sealed record PlanMeetingsRequest(DateOnly Monday, int Wanted, int ADay, IReadOnlyList<DateOnly> Shut);

/// <summary>A meeting that is proposed.</summary>
/// <param name="Missing">Readers of the group who cannot come on that day.</param>
public sealed record ProposedMeeting(GroupId GroupId, DateOnly Day, PointView? Point, IReadOnlyList<ReaderId> Missing);

/// <param name="Words">What was heard, to be looked over before it is kept.</param>
public sealed record DictatedView(string Words);

public sealed record SeeRequest(bool Here, SeenMark? Mark, IReadOnlyList<Observation> Observed, string Note);

/// <summary>What can be asked about the text, with the sentence that proves its answer.</summary>
public sealed record AskView(string Stem, string? Proof);

/// <summary>What follows for the next meeting.</summary>
/// <param name="Point">Another point, where that follows.</param>
/// <param name="MeetingId">The next meeting that is planned; null where none is.</param>
public sealed record NextMeetingView(NextMove Move, Message Why, PointView? Point, MeetingId? MeetingId, DateOnly? Day);

/// <summary>Somebody of another class who meets with the group.</summary>
public sealed record MeetingGuest(ReaderId Id, string GivenName);

/// <summary>A meeting as its teacher has it on the knee.</summary>
/// <param name="Readers">Of the group, in no order of level.</param>
/// <param name="Pages">Of the text, in the version for the middle of the group; none without a text.</param>
/// <param name="Phrases">What can be seen, in ready phrases.</param>
/// <param name="Before">The last meeting of this group, with what was seen.</param>
public sealed record MeetingView(
    MeetingRow Meeting,
    IReadOnlyList<ReaderId> Readers,
    IReadOnlyList<SeenRow> Seen,
    IReadOnlyList<IReadOnlyList<string>> Pages,
    AskView? Ask,
    IReadOnlyList<Observation> Phrases,
    MeetingRow? Before,
    IReadOnlyList<SeenRow> BeforeSeen,
    NextMeetingView? Next
)
{
    /// <summary>Readers who are in other classes.</summary>
    public required IReadOnlyList<MeetingGuest> Guests { get; init; }

    /// <summary>There is a device that turns a note that is said into words.</summary>
    public required bool Listens { get; init; }
}
