namespace DeepCurrent.Core.Access;

/// <summary>Who is asking.</summary>
public enum Role { Nobody, Reader, Teacher }

/// <summary>What is asked of a class, a reader, a ticket or a school's library.</summary>
public enum Deed { SeeClass, ChangeRoster, Assign, SetGoals, FormGroups, SeeReader, SeeLibrary, DoOwnTicket, MakeClass }

/// <summary>How the one who asks stands to what is asked for.</summary>
/// <param name="SameSchool">The thing belongs to their school, or ships for all schools.</param>
/// <param name="OwnClass">It is, or is in, a class they teach.</param>
/// <param name="Self">It is their own.</param>
public readonly record struct Relation(bool SameSchool, bool OwnClass, bool Self);

/// <summary>The one place that says who may do what. Whatever is not allowed here is not allowed.</summary>
public static class AccessRules
{
    public static bool May(Role role, Deed deed, Relation relation) => (role, deed) switch
    {
        (Role.Teacher, Deed.SeeLibrary or Deed.MakeClass) => relation.SameSchool,
        (Role.Teacher, Deed.SeeClass or Deed.ChangeRoster or Deed.Assign or Deed.SetGoals or Deed.FormGroups or Deed.SeeReader) => relation is { SameSchool: true, OwnClass: true },
        (Role.Reader, Deed.DoOwnTicket) => relation.Self,
        _ => false,
    };
}
