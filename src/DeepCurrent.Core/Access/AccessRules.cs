using System.Collections.Frozen;

namespace DeepCurrent.Core.Access;

/// <summary>Who is asking.</summary>
public enum Role
{
    Nobody,
    Reader,
    Teacher,
    Guardian,
}

/// <summary>What a member of staff is at the school: a teacher, or somebody who helps one.</summary>
public enum Post
{
    Teacher,
    Assistant,
}

/// <summary>An adult's part in a class.</summary>
public enum Part
{
    None,
    Assistant,
    CoTeacher,
    Teacher,
}

/// <summary>What is asked of a class, a reader, a ticket, a school or its library.</summary>
public enum Deed
{
    SeeLibrary,
    ChangeText,
    MakeClass,
    FindReaders,
    LeadSchool,
    SeeClass,
    SeeReader,
    ChangeRoster,
    SeeGuardians,
    PrintSecrets,
    PrintOneSecret,
    Assign,
    Mark,
    JudgeLevel,
    SetGoals,
    WriteHome,
    FormGroups,
    TakeRecords,
    GiveCheck,
    WatchCheck,
    ChangeCheck,
    DoOwnTicket,
    SeeOwnChild,
}

/// <summary>How the one who asks stands to what is asked for; several may hold at once.</summary>
[Flags]
public enum Standing
{
    None = 0,

    /// <summary>On the staff of the school it belongs to, as anything.</summary>
    Staff = 1,

    /// <summary>On its staff as a teacher.</summary>
    Colleague = 2,

    /// <summary>Assistant in the class it is, or is in.</summary>
    Assistant = 4,

    CoTeacher = 8,
    Teacher = 16,

    /// <summary>Leads the school.</summary>
    Lead = 32,

    /// <summary>It is their own: a text, a level check, or one they were let in to.</summary>
    Own = 64,

    /// <summary>A reader, for their own work.</summary>
    Self = 128,

    /// <summary>A guardian, for their own child.</summary>
    Guardian = 256,
}

/// <summary>How the one who asks stands to what is asked for.</summary>
/// <param name="SameSchool">The thing belongs to their school, or ships for all schools.</param>
/// <param name="Part">Their part in the class it is, or is in.</param>
/// <param name="Self">It is their own, or their own child; or a level check they were let in to.</param>
/// <param name="Lead">They lead the school.</param>
/// <param name="Post">What they are at the school.</param>
public readonly record struct Relation(bool SameSchool, Part Part, bool Self, bool Lead, Post Post = Post.Teacher);

/// <summary>The one place that says who may do what. Whatever is not allowed here is not allowed.</summary>
public static class AccessRules
{
    private const Standing Teachers = Standing.CoTeacher | Standing.Teacher,
        InClass = Standing.Assistant | Teachers;

    /// <summary>For each deed, the standings that allow it: any one of them is enough.</summary>
    public static readonly FrozenDictionary<Deed, Standing> Table = new Dictionary<Deed, Standing>
    {
        [Deed.SeeLibrary] = Standing.Staff,
        [Deed.ChangeText] = Standing.Own | Standing.Lead,
        [Deed.MakeClass] = Standing.Colleague | Standing.Lead,
        [Deed.FindReaders] = Standing.Colleague | Standing.Lead,
        [Deed.LeadSchool] = Standing.Lead,
        [Deed.SeeClass] = InClass | Standing.Lead,
        [Deed.SeeReader] = InClass | Standing.Lead,
        [Deed.ChangeRoster] = Teachers | Standing.Lead,
        [Deed.SeeGuardians] = Teachers | Standing.Lead,
        [Deed.PrintSecrets] = Teachers | Standing.Lead,
        // For an assistant only where a teacher of the class has allowed it, which the class says.
        [Deed.PrintOneSecret] = InClass | Standing.Lead,
        [Deed.Assign] = Teachers,
        [Deed.Mark] = Teachers,
        [Deed.JudgeLevel] = Teachers,
        [Deed.SetGoals] = Teachers,
        [Deed.WriteHome] = Teachers,
        [Deed.FormGroups] = Teachers,
        [Deed.TakeRecords] = InClass,
        [Deed.GiveCheck] = InClass | Standing.Lead,
        [Deed.WatchCheck] = InClass | Standing.Own | Standing.Lead,
        [Deed.ChangeCheck] = Standing.Own | Standing.Lead,
        [Deed.DoOwnTicket] = Standing.Self,
        [Deed.SeeOwnChild] = Standing.Guardian,
    }.ToFrozenDictionary();

    public static bool May(Role role, Deed deed, Relation relation) =>
        (Table[deed] & StandingOf(role, relation)) != Standing.None;

    /// <summary>All that holds of somebody; nothing for a thing of another school.</summary>
    public static Standing StandingOf(Role role, Relation r) =>
        r.SameSchool
            ? role switch
            {
                Role.Reader => r.Self ? Standing.Self : Standing.None,
                Role.Guardian => r.Self ? Standing.Guardian : Standing.None,
                Role.Teacher => Standing.Staff
                    | (r.Post is Post.Teacher ? Standing.Colleague : Standing.None)
                    | (r.Self ? Standing.Own : Standing.None)
                    | (r.Lead ? Standing.Lead : Standing.None)
                    | r.Part switch
                    {
                        Part.Assistant => Standing.Assistant,
                        Part.CoTeacher => Standing.CoTeacher,
                        Part.Teacher => Standing.Teacher,
                        _ => Standing.None,
                    },
                _ => Standing.None,
            }
            : Standing.None;
}
