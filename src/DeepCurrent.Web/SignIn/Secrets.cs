using DeepCurrent.Core.Readers;
using DeepCurrent.Data.Schools;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;

namespace DeepCurrent.Web.SignIn;

/// <summary>Passwords of adults (hashed) and picture secrets of readers (enciphered, since cards are printed again from them).</summary>
public sealed class Secrets(IDataProtectionProvider protection)
{
    private readonly IDataProtector protector = protection.CreateProtector("reader-secret");
    private readonly PasswordHasher<string> hasher = new();

    public string Hash(string password) => hasher.HashPassword("", password);

    public bool Matches(Adult adult, string password) => hasher.VerifyHashedPassword("", adult.PasswordHash, password) != PasswordVerificationResult.Failed;

    public string Seal(IReadOnlyList<string> pictures) => protector.Protect(string.Join(' ', pictures));

    public IReadOnlyList<string> Open(string secret) => protector.Unprotect(secret).Split(' ');

    public bool Matches(string secret, IReadOnlyList<string> pictures) => SignInRules.IsSecret(pictures) && Open(secret).SequenceEqual(pictures);
}
