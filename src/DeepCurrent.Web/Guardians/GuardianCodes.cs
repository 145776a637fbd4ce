using System.Security.Cryptography;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Guardians;

/// <summary>The codes in guardians' letters: the same letter printed again has the same code, until it is taken back or
/// runs out.</summary>
public sealed class GuardianCodes(GuardianStore guardians, Secrets secrets, Desk desk)
{
    // Letters and digits that are not mistaken for one another.
    private const string Signs = "ABCDEFGHJKMNPQRTUVWXY346789";
    private static readonly TimeSpan Good = TimeSpan.FromDays(60),
        StillGood = TimeSpan.FromDays(14);

    /// <summary>A code and its last day for each reader, made where there is none that lasts long enough to be worth
    /// printing.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, (string Code, DateTimeOffset Until)>> For(
        IReadOnlyCollection<ReaderId> readerIds,
        SchoolId schoolId
    )
    {
        var open = (await guardians.Open(readerIds, desk.Now + StillGood)).ToDictionary(
            c => c.ReaderId,
            c => (Code: secrets.Open(c.Secret), Until: c.ExpiresAt)
        );
        var made = readerIds
            .Where(id => !open.ContainsKey(id))
            .Distinct()
            .Select(id => (Id: id, Code: NewCode()))
            .ToList();
        if (made.Count > 0)
            await guardians.Add(
                [
                    .. made.Select(m =>
                        (
                            new GuardianCode(
                                Guid.CreateVersion7(),
                                schoolId,
                                m.Id,
                                secrets.Seal(m.Code),
                                desk.Now + Good
                            ),
                            Secrets.HashOf(Plain(m.Code))
                        )
                    ),
                ],
                desk.Now
            );
        foreach (var (id, code) in made)
            open[id] = (code, desk.Now + Good);
        return open;
    }

    /// <summary>A code as it is compared: letters and digits alone, in capitals.</summary>
    public static string Plain(string typed) => new([.. typed.ToUpperInvariant().Where(char.IsAsciiLetterOrDigit)]);

    private static string NewCode()
    {
        var signs = RandomNumberGenerator.GetItems<char>(Signs, 12);
        return $"{new string(signs[..4])}-{new string(signs[4..8])}-{new string(signs[8..])}";
    }
}
