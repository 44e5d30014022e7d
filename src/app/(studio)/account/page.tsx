import { pageMember } from '../../lib/member';
import { PasswordForm } from './PasswordForm';

export const metadata = { title: 'Your account' };

export default async function AccountPage() {
  const { name } = await pageMember();
  return (
    <div className="max-w-md">
      <h1>{name}, change your password</h1>
      <PasswordForm />
    </div>
  );
}
