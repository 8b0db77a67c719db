/** What a new password must be, said before one types. */
export function PasswordRule() {
  return (
    <p className="text-sm text-soft">
      A new password has 12 characters or more. Three or four words that do not belong together are good; the name and
      common passwords are refused.
    </p>
  );
}
