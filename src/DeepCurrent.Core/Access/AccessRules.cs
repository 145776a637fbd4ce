namespace DeepCurrent.Core.Access;

/// <summary>Who is asking.</summary>
public enum Role { Nobody, Reader, Teacher, Guardian }

/// <summary>An adult's part in a class.</summary>
public enum Part { None, Assistant, CoTeacher, Teacher }

/// <summary>What is asked of a class, a reader, a ticket, a school or its library.</summary>
public enum Deed { SeeClass, ChangeRoster, Assign, SetGoals, FormGroups, SeeReader, TakeRecords, SeeLibrary, DoOwnTicket, MakeClass, FindReaders, LeadSchool, SeeOwnChild, ChangeText, Mark, JudgeLevel, GiveCheck, WatchCheck, ChangeCheck }

/// <summary>How the one who asks stands to what is asked for.</summary>
/// <param name="SameSchool">The thing belongs to their school, or ships for all schools.</param>
/// <param name="Part">Their part in the class it is, or is in.</param>
/// <param name="Self">It is their own, or their own child; or a level check they were let in to.</param>
/// <param name="Lead">They lead the school.</param>
public readonly record struct Relation(bool SameSchool, Part Part, bool Self, bool Lead);

/// <summary>The one place that says who may do what. Whatever is not allowed here is not allowed.</summary>
public static class AccessRules
{
    public static bool May(Role role, Deed deed, Relation relation) => (role, deed) switch
    {
        (Role.Teacher, Deed.SeeLibrary or Deed.MakeClass or Deed.FindReaders) => relation.SameSchool,
        (Role.Teacher, Deed.LeadSchool) => relation is { SameSchool: true, Lead: true },
        (Role.Teacher, Deed.ChangeText) => relation.SameSchool && (relation.Self || relation.Lead),
        (Role.Teacher, Deed.SeeClass or Deed.SeeReader) => relation.SameSchool && (relation.Part != Part.None || relation.Lead),
        (Role.Teacher, Deed.ChangeRoster) => relation.SameSchool && (relation.Part >= Part.CoTeacher || relation.Lead),
        (Role.Teacher, Deed.Assign or Deed.Mark or Deed.JudgeLevel or Deed.SetGoals or Deed.FormGroups) => relation is { SameSchool: true, Part: >= Part.CoTeacher },
        (Role.Teacher, Deed.TakeRecords) => relation is { SameSchool: true, Part: >= Part.Assistant },
        (Role.Teacher, Deed.GiveCheck) => relation.SameSchool && (relation.Part >= Part.Assistant || relation.Lead),
        (Role.Teacher, Deed.WatchCheck) => relation.SameSchool && (relation.Self || relation.Part != Part.None || relation.Lead),
        (Role.Teacher, Deed.ChangeCheck) => relation.SameSchool && (relation.Self || relation.Lead),
        (Role.Reader, Deed.DoOwnTicket) => relation.Self,
        (Role.Guardian, Deed.SeeOwnChild) => relation is { SameSchool: true, Self: true },
        _ => false,
    };

    /// <summary>A part by its name in the database: teacher, co-teacher, assistant; anything else is none.</summary>
    public static Part PartOf(string? role) => role switch { "teacher" => Part.Teacher, "co-teacher" => Part.CoTeacher, "assistant" => Part.Assistant, _ => Part.None };
}
