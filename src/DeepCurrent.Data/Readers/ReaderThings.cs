namespace DeepCurrent.Data.Readers;

/// <summary>What becomes of something when its reader turns out to be another reader, too.</summary>
public enum OnMerge
{
    /// <summary>It goes to the reader who stays, unless they have the like.</summary>
    Moves,

    /// <summary>It stays with the reader who goes: it is about them and not about the child.</summary>
    Stays,

    /// <summary>It is worked out anew.</summary>
    Remade,
}

/// <summary>What becomes of something when its reader is deleted.</summary>
public enum OnDelete
{
    /// <summary>The database takes it along.</summary>
    Cascades,

    /// <summary>It is deleted by hand, since no key leads from it.</summary>
    Deleted,

    /// <summary>It stays and no longer says whose it was.</summary>
    Forgets,
}

/// <summary>A table that holds something of a reader's.</summary>
/// <param name="What">So many of it, for people.</param>
/// <param name="Key">What tells a reader's rows apart.</param>
/// <param name="Twin">When a row m of the reader who stays is the like of a row x of the other; such an x is left where
/// it is.</param>
/// <param name="Only">Which rows x go along; all where it is not said.</param>
/// <param name="Work">Somebody has worked with the reader: taking back that they were added is refused.</param>
/// <param name="Record">Where it stands in the reader's record; null for what is no part of it.</param>
/// <param name="Column">The column that says whose it is.</param>
public sealed record ReaderThing(
    string Table,
    Func<int, Message> What,
    OnMerge Merge,
    OnDelete Delete,
    bool Work,
    string? Record,
    string Key = "id",
    string? Twin = null,
    string? Only = null,
    string Column = "reader_id"
);

/// <summary>Every table that holds something of a reader's, and what merging, giving out and deleting do to it. A test
/// compares this with the database's own catalogue, so that no table is forgotten.</summary>
public static class ReaderThings
{
    private const string OfKeptTicket =
        "(x.ticket_id is null or exists (select 1 from ticket k where k.id = x.ticket_id and k.reader_id = @kept))";

    /// <summary>In the order in which a merge goes through them: what others hang on comes first.</summary>
    public static readonly IReadOnlyList<ReaderThing> All =
    [
        new(
            "ticket",
            n => $"{n:count} readings",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "readings",
            Twin: "m.task_id = x.task_id"
        ),
        new(
            "sitting",
            n => $"{n:count} level checks",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "levelChecks",
            Twin: "m.check_id = x.check_id"
        ),
        new(
            "evidence",
            n => $"{n:count} pieces of evidence",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "evidence",
            Only: OfKeptTicket
        ),
        new(
            "level_set",
            n => $"{n:count} levels set by teachers",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "levelsSet",
            Twin: "m.ended_at is null and x.ended_at is null"
        ),
        new(
            "running_record",
            n => $"{n:count} running records",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "oralReadings"
        ),
        new(
            "set_aside",
            n => $"{n:count} answers that were not accepted",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "setAside",
            Only: $"{OfKeptTicket} and (x.sitting_id is null or exists (select 1 from sitting n where n.id = "
                + "x.sitting_id and n.reader_id = @kept))"
        ),
        new(
            "enrolment",
            n => $"{n:count} times in a class",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "enrolments"
        ),
        new(
            "goal",
            n => $"{n:count} goals",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "goals",
            Twin: "m.term_id = x.term_id and m.kind = x.kind and m.replaced_at is null"
        ),
        new(
            "group_member",
            n => $"{n:count} groups",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "groups",
            Key: "group_id",
            Twin: "m.group_id = x.group_id"
        ),
        new("group_stay", n => $"{n:count} times in groups", OnMerge.Moves, OnDelete.Cascades, Work: false, "groups"),
        new(
            "aim",
            n => $"{n:count} assignments meant by name",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: false,
            null,
            Twin: "m.assignment_id = x.assignment_id and m.class_id = x.class_id"
        ),
        new(
            "calendar_feed",
            n => $"{n:count} calendar links",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: false,
            null,
            Twin: "m.class_id = x.class_id"
        ),
        new(
            "class_picture",
            n => $"{n:count} pictures in a class",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: false,
            "pictures",
            Key: "class_id",
            Twin: "m.class_id = x.class_id"
        ),
        new("note", n => $"{n:count} notes", OnMerge.Moves, OnDelete.Cascades, Work: true, "notes", Only: OfKeptTicket),
        new(
            "home_message",
            n => $"{n:count} messages to the family",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "homeMessages"
        ),
        new(
            "home_answer",
            n => $"{n:count} answers from home",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "homeAnswers"
        ),
        new(
            "kept_word",
            n => $"{n:count} words to practise",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "keptWords",
            Twin: "m.text = x.text"
        ),
        new(
            "own_reading",
            n => $"{n:count} readings elsewhere",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "readElsewhere"
        ),
        new(
            "rating",
            n => $"{n:count} ratings",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "ratings",
            Key: "text_id",
            Twin: "m.text_id = x.text_id"
        ),
        new("loan", n => $"{n:count} copies on loan", OnMerge.Moves, OnDelete.Cascades, Work: true, "loans"),
        new(
            "guardianship",
            n => $"{n:count} guardians",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "guardians",
            Key: "adult_id",
            Twin: "m.adult_id = x.adult_id"
        ),
        new(
            "guardian_code",
            n => $"{n:count} letters to guardians",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: false,
            null
        ),
        new(
            "reader_list_member",
            n => $"{n:count} lists",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: false,
            null,
            Key: "list_id",
            Twin: "m.list_id = x.list_id"
        ),
        new(
            "taking_in",
            n => $"{n:count} requests",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: false,
            null,
            Twin: "m.class_id = x.class_id and m.decided_at is null"
        ),
        new(
            "transfer",
            n => $"{n:count} transfers between schools",
            OnMerge.Stays,
            OnDelete.Cascades,
            Work: true,
            null
        ),
        new(
            "depth_day",
            n => $"{n:count} days of the level",
            OnMerge.Remade,
            OnDelete.Cascades,
            Work: false,
            "depthByDay",
            Key: "day"
        ),
        new(
            "meeting_seen",
            n => $"{n:count} times at a group's meeting",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: true,
            "meetings",
            Key: "meeting_id",
            Twin: "m.meeting_id = x.meeting_id"
        ),
        new("absence", n => $"{n:count} absences", OnMerge.Moves, OnDelete.Cascades, Work: false, "absences"),
        new(
            "conference_words",
            n => $"{n:count} notes for conferences",
            OnMerge.Moves,
            OnDelete.Cascades,
            Work: false,
            "forConferences",
            Key: "class_id",
            Twin: "m.class_id = x.class_id"
        ),
        new("signal", n => $"{n:count} signals", OnMerge.Remade, OnDelete.Cascades, Work: false, "signals"),
        new("joining", n => $"{n:count} requests to join", OnMerge.Stays, OnDelete.Deleted, Work: false, null),
        new("sign_in_event", n => $"{n:count} sign-ins", OnMerge.Stays, OnDelete.Cascades, Work: false, null),
        new(
            "session",
            n => $"{n:count} sessions",
            OnMerge.Stays,
            OnDelete.Deleted,
            Work: false,
            null,
            Column: "person_id"
        ),
        new(
            "change_reader",
            n => $"{n:count} changes",
            OnMerge.Stays,
            OnDelete.Deleted,
            Work: false,
            "changes",
            Key: "change_id"
        ),
        new(
            "looked",
            n => $"{n:count} entries of who looked",
            OnMerge.Stays,
            OnDelete.Forgets,
            Work: false,
            "lookedAt",
            Key: "at"
        ),
        new(
            "reader",
            n => $"{n:count} readers merged into this one",
            OnMerge.Stays,
            OnDelete.Deleted,
            Work: true,
            null,
            Column: "merged_into"
        ),
    ];
}
