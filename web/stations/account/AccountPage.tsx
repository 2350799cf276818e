// One's own account: password, second factor, where one is signed in, tokens, a copy of one's data, and leaving.
import { Link } from 'react-router';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { useSession } from '~/shell/session';
import { ChangePassword } from './ChangePassword';
import { Leave } from './Leave';
import { MyData } from './MyData';
import { SecondFactor } from './SecondFactor';
import { Sent } from './Sent';
import { SignedIn } from './SignedIn';
import { Tokens } from './Tokens';

export default function AccountPage() {
  const { user } = useSession();
  return (
    <main className="p-5 grid gap-4 max-w-3xl mx-auto">
      <div>
        <h1>Your account</h1>
        <p className="m-0 text-sm text-ink-soft">
          {user.name}, {user.role} of {user.school}. {user.email}
        </p>
      </div>
      {user.second_factor_due && (
        <Notice text="Your school asks everyone for a second factor. Set one up below; until then nothing else opens." />
      )}
      <SecondFactor />
      {!user.second_factor_due && (
        <>
          <ChangePassword />
          <SignedIn />
          <Sent />
          <Tokens />
          <MyData />
          <Leave />
        </>
      )}
      <Card className="p-4 text-sm">
        <Link to="/licences">What Larkspur is made of, and its licences</Link>
      </Card>
    </main>
  );
}
