using System.Text.RegularExpressions;
using FaithfulBracket.Server.Words.Http;

namespace FaithfulBracket.Server.Http;

/// <summary>What is wrong with a parameter of a call, in words that name it as the caller writes it.</summary>
internal static partial class ParameterSentences
{
    /// <returns>The parameter's pointer and the sentence; null where no parameter is meant.</returns>
    public static (string Pointer, string Sentence)? Describe(BadHttpRequestException e)
    {
        if (Missing().Match(e.Message) is { Success: true } missing)
        {
            var name = missing.Groups["name"].Value;
            return missing.Groups["from"].Value switch
            {
                "route or query string" or "query string" => ($"?{name}", ParameterSentencesWords.CallNeedsAnd(name)),
                "header" => ("", ParameterSentencesWords.CallNeedsHeader(name)),
                _ => null,
            };
        }
        return null;
    }

    [GeneratedRegex(
        @"^Required parameter ""\S+ (?<name>\w+)"" was not provided from (?<from>route or query string|query string|header)"
    )]
    private static partial Regex Missing();
}
