using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;

namespace DeepCurrent.Formats;

/// <param name="Address">Where tokens are given.</param>
public sealed record CredentialsOf(string Address, string ClientId, string ClientSecret, string Scope);

/// <summary>A token for a server of the district's.</summary>
/// <remarks>RFC 6749, section 4.4: client credentials.</remarks>
public static class ClientCredentials
{
    /// <exception cref="HttpRequestException">It was refused, or nobody answered.</exception>
    public static async Task<string> Token(HttpClient http, CredentialsOf of, CancellationToken stop)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, of.Address)
        {
            Content = new FormUrlEncodedContent(
                new Dictionary<string, string> { ["grant_type"] = "client_credentials", ["scope"] = of.Scope }
            ),
        };
        request.Headers.Authorization = new AuthenticationHeaderValue(
            "Basic",
            Convert.ToBase64String(Encoding.UTF8.GetBytes($"{of.ClientId}:{of.ClientSecret}"))
        );
        using var response = await http.SendAsync(request, stop);
        response.EnsureSuccessStatusCode();
        using var answer = JsonDocument.Parse(await response.Content.ReadAsStreamAsync(stop));
        return answer.RootElement.GetProperty("access_token").GetString()!;
    }
}
