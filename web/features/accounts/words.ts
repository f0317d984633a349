/** What is said by “accounts”. A part in braces is a slot of TextWith. */
export const accountsWords = {
  filmMarkCorrectLookAgain: 'Film, mark, correct, look again.',
  eMail: 'E-mail',
  password: 'Password',
  showThePassword: 'Show the password',
  signIn: 'Sign in',
};
