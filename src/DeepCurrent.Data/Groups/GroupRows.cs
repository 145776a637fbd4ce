using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;

namespace DeepCurrent.Data.Groups;

/// <param name="Leader">Who meets it; null where nobody is named, or they have left the class.</param>
/// <param name="ChangedAt">When a reader last came into it.</param>
/// <param name="Grouping">What it is a group of; null for guided reading.</param>
public sealed record GroupRow(
    GroupId Id,
    string Name,
    int Position,
    DateTimeOffset FormedAt,
    IReadOnlyList<ReaderId> ReaderIds,
    GroupLeader? Leader,
    DateTimeOffset ChangedAt,
    GroupingId? Grouping = null
);

/// <summary>Somebody of a class's staff, who can meet a group.</summary>
public sealed record GroupLeader(AdultId Id, string Name);

/// <param name="Id">The group it goes on as; null where its name says so, or it is new.</param>
public sealed record NewGroup(string Name, IReadOnlyList<ReaderId> ReaderIds, GroupId? Id = null);

/// <summary>Tickets that followed a regrouping.</summary>
public sealed record Followed(
    IReadOnlyList<TicketId> Given,
    IReadOnlyList<TicketMoved> Restored,
    IReadOnlyList<TicketMoved> TakenBack
)
{
    public static Followed None { get; } = new([], [], []);

    public bool Any => Given.Count + Restored.Count + TakenBack.Count > 0;
}

/// <summary>Somebody in a group.</summary>
public sealed record GroupMember(ReaderId ReaderId, DateTimeOffset JoinedAt);

/// <summary>A group as it stood.</summary>
public sealed record GroupState(GroupId Id, string Name, int Position, IReadOnlyList<GroupMember> Members);

/// <summary>What a regrouping did.</summary>
/// <param name="Followed">What went with it; null where it was kept before anything did.</param>
/// <param name="Before">The groups that were open; null where groups did not go on yet.</param>
/// <param name="After">The groups that are.</param>
public sealed record Regrouping(
    IReadOnlyList<GroupId> Closed,
    IReadOnlyList<GroupId> Opened,
    Followed? Followed = null,
    IReadOnlyList<GroupState>? Before = null,
    IReadOnlyList<GroupState>? After = null
)
{
    /// <summary>Whose groups they are; null for guided reading.</summary>
    public GroupingId? Grouping { get; init; }

    /// <summary>The grouping ended with it.</summary>
    public bool Ended { get; init; }

    /// <summary>The other classes of the grouping, with what went with it there.</summary>
    public IReadOnlyList<FollowedIn>? Elsewhere { get; init; }
}

/// <summary>Tickets that followed a regrouping in another class.</summary>
public sealed record FollowedIn(ClassId ClassId, Followed Followed);
