using System.Security.Cryptography;
using System.Text;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;

namespace DeepCurrent.Web.SignIn;

/// <summary>Passwords of adults (hashed), secrets of readers (enciphered, since cards are printed again from them), and
/// one-time links (only their hash is kept).</summary>
public sealed class Secrets(IDataProtectionProvider protection)
{
    private readonly IDataProtector protector = protection.CreateProtector("reader-secret");
    private readonly PasswordHasher<string> hasher = new();
    private readonly SemaphoreSlim turns = new(Math.Max(1, Environment.ProcessorCount / 2));
    private readonly string nobody = new PasswordHasher<string>().HashPassword("", Guid.NewGuid().ToString());

    public static Random Chance() => new(RandomNumberGenerator.GetInt32(int.MaxValue));

    public string Hash(string password) => hasher.HashPassword("", password);

    /// <summary>Whether a password is an adult's. A few at a time, since each takes a core for a while; for somebody
    /// who does not exist it takes as long.</summary>
    public async Task<bool> Matches(Adult? adult, string password)
    {
        await turns.WaitAsync();
        try
        {
            return hasher.VerifyHashedPassword("", adult?.PasswordHash ?? nobody, password)
                    != PasswordVerificationResult.Failed
                && adult?.PasswordHash is not null;
        }
        finally
        {
            turns.Release();
        }
    }

    public string Seal(string secret) => protector.Protect(secret);

    public string Open(string secret) => protector.Unprotect(secret);

    public bool Matches(SecretKind kind, string secret, string typed) =>
        CryptographicOperations.FixedTimeEquals(
            Encoding.UTF8.GetBytes(Open(secret)),
            Encoding.UTF8.GetBytes(SignInRules.Typed(kind, typed))
        );

    /// <summary>A one-time token and the hash it is kept by.</summary>
    public static (string Token, string Hash) NewToken(int bytes = 24)
    {
        var token = Convert
            .ToBase64String(RandomNumberGenerator.GetBytes(bytes))
            .Replace('+', '-')
            .Replace('/', '_')
            .TrimEnd('=');
        return (token, HashOf(token));
    }

    public static string HashOf(string token) =>
        Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(token.Trim())));
}
