using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Changes;

namespace DeepCurrent.Demo;

/// <summary>One class of the demo, with who is in it and who teaches it.</summary>
internal sealed record DemoClass(ClassId Id, YearCalendar Year, Adult Teacher, IReadOnlyList<SimulatedReader> People)
{
    /// <summary>Whose deed a change is that the teacher makes in the class.</summary>
    public ChangeBy By(DateTimeOffset at) => new(Teacher.SchoolId, Id, Teacher.Id, at);

    public static DateTimeOffset Hour(DateOnly day, int hour) =>
        new(day.ToDateTime(new TimeOnly(hour, 0)), TimeSpan.Zero);
}
